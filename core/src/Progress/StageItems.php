<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Facts\Refit;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\Family;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Judging\MeasureState;
use VividPull\Core\Judging\Verdict;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\ReadEnough;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Finding;
use VividPull\Core\Log\ThreadState;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\Advice;
use VividPull\Core\Planning\ChosenMode;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\Planner;
use VividPull\Core\Planning\ProofEvidence;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\LockStep;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Conditions;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\Wheels;

/** The items of each stage, from what the family declares and what the facts say is done. */
final readonly class StageItems
{
    private const WHOLE_GROUP = 3;

    private const WIRE = 'wire';

    public const WHEELS_DOWN = 'wheels_down';

    private const HAND_FIRST = 'Not before what is tried with the engine off.';

    public function __construct(
        private Spec $spec,
        private Run $run,
        private Facts $facts,
        private Judgement $judgement,
        private Advice $advice,
        private ?Judgement $second = null,
        private ?Advice $secondAdvice = null,
    ) {}

    /** @return array<string, list<StageItem>> by stage */
    public function all(): array
    {
        $family = Families::of($this->spec->family);
        $beside = new BesideItems($this->spec, $this->run, $this->facts, $this->judgement);
        $heat = $this->heatAgain();

        return [
            JobStage::MakeSafe->value => array_map($this->step(...), $family->makeSafe()),
            JobStage::LookOver->value => $this->lookOver($family, $beside),
            JobStage::AsFound->value => $this->asFound($beside, $heat[JobStage::AsFound->value] ?? []),
            JobStage::Set->value => [
                ...$this->faults($family),
                ...$this->guides(),
                ...$this->doubts(JobStage::Set),
                ...$heat[JobStage::Set->value] ?? [],
                ...$this->setting($beside),
                ...$beside->putRight($this->spec->aim !== null && $this->finer() !== null),
            ],
            JobStage::Prove->value => [
                ...$this->wheelsDown(),
                ...$this->doubts(JobStage::Prove),
                ...$heat[JobStage::Prove->value] ?? [],
                ...$this->poses($this->judgement),
                ...$this->ofSecond($this->poses(...)),
                ...$this->still($family, $beside),
                ...$this->refitted($family),
                ...$this->running($family, $beside),
            ],
            JobStage::Close->value => [
                ...($this->refit()->isAsked() ? [] : $this->coversBack()),
                ...array_map($this->step(...), $family->closing()),
                $this->signOff(),
            ],
        ];
    }

    /** @return list<string> keys of what is tried last, with the machine running */
    public function thatRun(): array
    {
        $family = Families::of($this->spec->family);
        $beside = new BesideItems($this->spec, $this->run, $this->facts, $this->judgement);

        return array_map(
            static fn (StageItem $item): string => $item->key,
            [...$this->proofs(Running::Open), ...$this->running($family, $beside)],
        );
    }

    /**
     * A cable being replaced comes before all else; one that was, after what is looked over.
     *
     * @return list<StageItem>
     */
    private function lookOver(Family $family, BesideItems $beside): array
    {
        $looked = array_map($this->inspection(...), $family->lookOver());
        $isUnderWay = $this->facts->observations->replacing?->isOver === false;

        return $isUnderWay ? [...$beside->replacing(), ...$looked] : [...$looked, ...$beside->replacing()];
    }

    /**
     * Where play is read, everything is noted before it. Where settings are tried, they come first: where each does
     * what it should, nobody opens a cover to see how an adjuster stands.
     *
     * @param  list<StageItem>  $heat
     * @return list<StageItem>
     */
    private function asFound(BesideItems $beside, array $heat): array
    {
        $found = $this->underCovers($beside->asFound());
        $gated = $this->gatedFaults();
        if ($this->spec->aim !== null) {
            return [
                ...$gated,
                ...($this->spec->isStateAsked() ? [$this->condition()] : []),
                ...$this->threads(),
                ...$this->doubts(JobStage::AsFound),
                ...$heat,
                ...$this->foundReadings(),
                ...$found,
            ];
        }

        return [
            ...$gated,
            ...$found,
            ...($this->facts->readings->moves === [] && $beside->isFoundRight() ? [] : $this->threads()),
        ];
    }

    /** @return list<StageItem> */
    private function foundReadings(): array
    {
        return $this->spec->aim === null
            ? []
            : [$this->foundReading($this->judgement), ...$this->ofSecond($this->foundReading(...))];
    }

    /**
     * Where settings are tried, what was moved is tightened before each trial; where play is read, after it is right.
     *
     * @return list<StageItem>
     */
    private function setting(BesideItems $beside): array
    {
        $tried = $this->underCovers($beside->tried());

        return $this->spec->aim === null ? [...$beside->whichWay(), ...$this->locks(), ...$tried]
            : [
                ...$this->inBands(),
                ...$this->broughtHome(),
                ...$this->locks(),
                ...$this->guides(true),
                ...$this->readAgain($this->judgement),
                ...$this->ofSecond($this->readAgain(...)),
                ...$beside->whichWay(),
                ...$tried,
            ];
    }

    /**
     * What runs the machine before it is proved, as it was found or between two moves, waits for the covers that are
     * off: they are put back first.
     *
     * @param  list<StageItem>  $items
     * @return list<StageItem>
     */
    private function underCovers(array $items): array
    {
        $covers = $this->coversBack();
        $runs = $covers === [] ? [] : array_filter($items, fn (StageItem $one): bool => ! $one->done
            && HowItRuns::item($one, $this->spec, $this->run, $this->facts, $this->judgement) === Running::Refitted);

        return $runs === [] ? $items : [...$covers, ...$items];
    }

    /**
     * The same asked of the second cable, where there are two.
     *
     * @param  callable(Judgement): (StageItem|list<StageItem>)  $ask
     * @return list<StageItem>
     */
    private function ofSecond(callable $ask): array
    {
        if ($this->second === null) {
            return [];
        }
        $items = $ask($this->second);

        return array_map(
            fn (StageItem $item): StageItem => $item->ofSecond($this->run->secondPulls()?->label() ?? ''),
            is_array($items) ? $items : [$items],
        );
    }

    /**
     * Where another figure is asked for next, play is read three times first: the next reading would be taken for the
     * other's.
     */
    private function isWhole(?ReadingGroup $group): bool
    {
        $alone = $this->second === null
            && array_filter(
                $this->judgement->measures,
                static fn (MeasureState $one): bool => $one->measure->asFound,
            ) === [];

        return $alone || ($group->found->count ?? 0) >= self::WHOLE_GROUP;
    }

    private function pointOf(Judgement $judgement): ReadingPoint
    {
        return $judgement === $this->second
            ? ($this->run->secondPulls()?->point() ?? $this->spec->play()->point)
            : $this->spec->play()->point;
    }

    /** @return list<StageItem> the second cable first where the spec says so */
    private function inBands(): array
    {
        $items = [$this->inBand($this->judgement), ...$this->ofSecond($this->inBand(...))];

        return $this->spec->secondFirst ? array_reverse($items) : $items;
    }

    private function step(Step $step): StageItem
    {
        $done = $this->facts->answers->confirmed[$step->key] ?? null;

        return $this->answered($step->key, $step->label, $done, 'Done', false, null, $step->caution, [
            new Answer('ok', 'Done', EntryKind::Confirmed, ['key' => $step->key], AnswerTone::Right),
        ]);
    }

    private function inspection(Inspection $inspection): StageItem
    {
        $found = $this->facts->answers->inspected[$inspection->key] ?? null;
        $said = match ($found?->finding) {
            null => null,
            Finding::Sound => 'Sound'.($found->remark === null ? '' : ": {$found->remark}"),
            Finding::Noted => 'Noted'.($found->remark === null ? '' : ": {$found->remark}"),
            Finding::Fault => 'Fault'.($found->remark === null ? '' : ": {$found->remark}"),
        };
        $answer = static fn (Finding $finding): array => ['key' => $inspection->key, 'finding' => $finding->value];
        $failed = $found?->finding === Finding::Fault && $inspection->gate !== null;

        return $this->answered(
            $inspection->key,
            $inspection->label,
            $found,
            $said,
            $failed,
            $inspection->lookFor,
            null,
            [
                new Answer('ok', 'Sound', EntryKind::Inspected, $answer(Finding::Sound), AnswerTone::Right),
                new Answer(
                    'noted',
                    'Worn, noted',
                    EntryKind::Inspected,
                    $answer(Finding::Noted),
                    AnswerTone::Plain,
                    true,
                ),
                new Answer('fault', 'Fault', EntryKind::Inspected, $answer(Finding::Fault), AnswerTone::Wrong, true),
            ],
        );
    }

    private function condition(): StageItem
    {
        $noted = $this->facts->answers->condition;
        $conditions = $this->spec->conditions;
        $isHeatAsked = $this->spec->heatMatters();
        $answers = [];
        foreach ($isHeatAsked ? EngineHeat::cases() : [null] as $engine) {
            foreach ($conditions->wheels !== null ? Wheels::cases() : [null] as $wheels) {
                $fits = $conditions->objection($engine, $wheels) === null;
                $toSetBy = $conditions->areProvisional($engine, $wheels);
                $answers[] = new Answer(
                    self::stateWord($engine, $wheels),
                    Conditions::say($engine, $wheels).($toSetBy ? ', to set by' : ''),
                    EntryKind::Condition,
                    array_filter(['engine' => $engine?->value, 'wheels' => $wheels?->value]),
                    $fits || $toSetBy ? AnswerTone::Right : AnswerTone::Plain,
                );
            }
        }

        // Of one visit: another control may have asked for the heat alone.
        $isSaid = $noted !== null
            && ($noted->engine !== null || ! $isHeatAsked)
            && ($noted->wheels !== null || $conditions->wheels === null);

        return $this->answered(
            'condition',
            $isHeatAsked ? 'How does it stand?' : 'On its wheels, or on a stand?',
            $isSaid ? $noted : null,
            $noted?->label(),
            false,
            $this->conditionWanted(),
            null,
            $answers,
        );
    }

    /**
     * What was run is hotter than it was said to be: that is asked again where play is to be read after it, and a
     * figure of play knows heat.
     *
     * @return array<string, list<StageItem>> in the first stage that reads, by that
     */
    private function heatAgain(): array
    {
        if (! $this->facts->readings->ranSince || $this->spec->aim === null || ! $this->spec->heatMatters()) {
            return [];
        }
        foreach ([JobStage::AsFound, JobStage::Set, JobStage::Prove] as $stage) {
            if (array_filter($this->readIn($stage), static fn (StageItem $item): bool => ! $item->done) !== []) {
                $asked = $this->condition();

                return [$stage->value => [new StageItem(
                    "{$asked->key}:ran",
                    $asked->kind,
                    'It was run since. How does it stand?',
                    ItemState::open(),
                    $asked->detail,
                    answers: $asked->answers,
                )]];
            }
        }

        return [];
    }

    /** @return list<StageItem> what is read in this stage */
    private function readIn(JobStage $stage): array
    {
        return match ($stage) {
            JobStage::AsFound => $this->foundReadings(),
            JobStage::Set => [
                ...$this->inBands(),
                ...$this->readAgain($this->judgement),
                ...$this->ofSecond($this->readAgain(...)),
            ],
            JobStage::Prove => [...$this->poses($this->judgement), ...$this->ofSecond($this->poses(...))],
            default => [],
        };
    }

    private static function stateWord(?EngineHeat $engine, ?Wheels $wheels): string
    {
        return match (true) {
            $engine === null => $wheels === Wheels::OnStand ? 'stand' : 'ground',
            default => $engine->value.($wheels === Wheels::OnStand ? ' stand' : ''),
        };
    }

    private function conditionWanted(): string
    {
        $conditions = $this->spec->conditions;
        $wanted = array_filter([$conditions->engine?->value, $conditions->wheels?->label()], is_string(...));
        $onStand = $conditions->wheels === Wheels::OnGround
            ? ' A reading on a stand is good enough to set by; it is proved on its wheels.'
            : '';

        return $wanted === []
            ? 'The book does not say cold or hot. Play changes with heat, so it is written down.'
            : 'The figure is for: '.implode(', ', $wanted).'.'.$onStand;
    }

    /** @return list<StageItem> */
    private function threads(): array
    {
        $reachable = array_filter(
            $this->run->adjusters(),
            fn (Adjuster $a): bool => in_array(
                $a->kind()->sets(),
                [AdjustedQuantity::Play, AdjustedQuantity::Speed],
                true,
            )
                && ($a->access()->cover === null
                    || isset($this->facts->adjusters->coversOff[$a->id()])
                    || isset($this->facts->adjusters->threads[$a->id()])),
        );

        return array_values(array_map($this->thread(...), $reachable));
    }

    private function thread(Adjuster $adjuster): StageItem
    {
        $noted = $this->facts->adjusters->threads[$adjuster->id()] ?? null;
        $before = $this->facts->standing->positions[$adjuster->id()] ?? null;
        $unit = $adjuster->counting()->unit;
        $key = $unit->field();
        $answers = $before === null
            ? []
            : [new Answer('ok', "As before: {$adjuster->where($before)}", EntryKind::Thread, [
                'adjuster' => $adjuster->id(), $key => $before->toFloat(),
            ], AnswerTone::Right)];
        foreach ([ThreadState::Unseen, ThreadState::Marked, ThreadState::Seized] as $state) {
            $answers[] = new Answer(
                $state->value,
                (string) $state->label(),
                EntryKind::Thread,
                ['adjuster' => $adjuster->id(), $state->value => true],
            );
        }

        return new StageItem(
            "thread:{$adjuster->id()}",
            ItemKind::Thread,
            $adjuster->kind()->isThreaded()
                ? "Thread showing at the {$adjuster->name()}"
                : "Where the {$adjuster->name()} stands, in {$unit->plural()}",
            new ItemState($noted !== null, said: match (true) {
                $noted === null => null,
                $noted->position === null => $noted->state->label(),
                default => $adjuster->where($noted->position),
            }, stamp: $noted?->stamp),
            'Its home mark: where it stood before anyone touched it.',
            answers: $answers,
            subject: new ItemSubject($adjuster->id()),
        );
    }

    private function foundReading(Judgement $judgement): StageItem
    {
        $point = $this->pointOf($judgement);
        $group = $judgement->foundGroup;
        $verdict = $judgement->found;
        $judged = $group !== null && $group->doubt === null && ! $verdict->is(VerdictKind::NotJudged);

        return new StageItem(
            'reading:found',
            ItemKind::Reading,
            "Reading at the {$this->spec->pointName($point)}, as found",
            // With a move made the chance is gone: the job goes on, and the sheet says that nothing was read before it.
            new ItemState(
                ($judged && $this->isWhole($group)) || $this->facts->readings->isChanged(),
                said: $group === null
                    ? ($this->facts->readings->isChanged() ? 'Not to be had: it was changed before it was read' : null)
                    : Figure::length($group->found->mean).' · '.$verdict->sentence,
                stamp: $group?->last()->stamp,
            ),
            $this->spec->howToRead($point),
        );
    }

    /**
     * The steps of what is set by steps, once they are begun or its cover is off.
     *
     * @param  bool  $afterCable  those that come once the cable is set
     * @return list<StageItem>
     */
    private function guides(bool $afterCable = false): array
    {
        $items = [];
        foreach ($this->run->adjusters() as $id => $adjuster) {
            $done = count($this->facts->adjusters->guides[$id] ?? []);
            if (! isset($this->facts->adjusters->guides[$id]) && ! isset($this->facts->adjusters->coversOff[$id])) {
                continue;
            }
            foreach (Guide::of($adjuster->kind()) as $place => $step) {
                if ($step->isAfterCable !== $afterCable) {
                    continue;
                }
                $items[] = new StageItem(
                    "guide:{$id}:{$step->key}",
                    ItemKind::Answer,
                    $this->guideLabel($step),
                    new ItemState($place < $done, said: $place < $done ? 'Done' : null),
                    ucfirst($adjuster->name()).', step '.($place + 1).' of '.count(Guide::of($adjuster->kind())).'.',
                    $step->caution,
                    [new Answer(
                        'ok',
                        'Done',
                        EntryKind::Step,
                        ['adjuster' => $id, 'key' => $step->key],
                        AnswerTone::Right,
                        $step->asks !== null,
                        $step->asks,
                    )],
                    subject: new ItemSubject($id),
                );
            }
        }

        return $items;
    }

    /** A push rod is backed off as the book has it, where it says. */
    private function guideLabel(GuideStep $step): string
    {
        return $step->key === 'back' && $this->spec->book->backOff !== null
            ? "Back it out {$this->spec->book->backOff}, as the book has it"
            : $step->label;
    }

    /** @return list<StageItem> in service, the adjuster in reach that stood outside its healthy zone */
    private function broughtHome(): array
    {
        $near = $this->run->inReach();
        $home = $near === null ? null : $this->facts->adjusters->home[$near->id()] ?? null;
        $at = $near === null ? null : $this->facts->adjusters->positions[$near->id()] ?? null;
        if ($near === null || $home === null || $at === null || ! $this->isBroughtHome($near, $home, $at)) {
            return [];
        }
        $done = $near->healthy()->contains($at);
        $unseen = Planner::notLookedAt($this->run, $this->facts);
        $stays = ! $done && $unseen === [] && $this->staysOut();
        $stands = ucfirst($near->where($at));
        $said = match (true) {
            $done => $stands,
            $stays => "{$stands}. It stays there: nothing else is known to have room to take that up inside the band",
            default => null,
        };
        $first = $unseen === []
            ? 'Take up at the other end.'
            : "Look at the {$unseen[0]->name()} first: it may take that up.";
        $mode = ['mode' => SettingMode::TouchUp->value];
        $leave = new Answer('touch-up', 'Leave it for the next service', EntryKind::Policy, $mode);

        return [new StageItem(
            "home:{$near->id()}",
            ItemKind::InBand,
            "Bring the {$near->name()} back into its healthy zone",
            new ItemState($done || $stays, said: $said),
            "Outside it, the {$near->name()} wobbles and may snap. {$first} Or leave it for the next service.",
            answers: $done || $stays ? [] : [$leave],
        )];
    }

    /** Whether it stood outside its zone, and is to be brought back: in service, or where it was so already. */
    private function isBroughtHome(Adjuster $near, Steps $home, Steps $at): bool
    {
        return count($this->run->playAdjusters()) > 1
            && ! $near->healthy()->contains($home)
            && ($near->healthy()->contains($at) || ChosenMode::of($this->run, $this->facts) === SettingMode::Service)
            && ! $this->isAPoseInQuestion();
    }

    /**
     * What is read again or asked about with the bars turned comes by its own item, before anything is turned for the
     * thread's sake.
     */
    private function isAPoseInQuestion(): bool
    {
        $again = $this->judgement->poseToReadAgain() ?? Pose::Straight;
        $doubted = array_filter(
            $this->judgement->poseGroups,
            static fn (ReadingGroup $one, string $pose): bool => $pose !== Pose::Straight->value
                && $one->doubt !== null,
            ARRAY_FILTER_USE_BOTH,
        );

        return $again !== Pose::Straight || $doubted !== [];
    }

    /**
     * Where the bench itself says that there is nothing left but to prove it, or to read a pose at the edge, it stays.
     */
    private function staysOut(): bool
    {
        $next = $this->judgement->nowGroup === null ? null : $this->advice->outcome();

        return $next?->kind === PlanKind::Prove
            || ($next !== null && $next->plan === null && $this->judgement->poseAtTheEdge() !== null);
    }

    private function inBand(Judgement $judgement): StageItem
    {
        $now = $judgement->now;
        $inside = $now->is(VerdictKind::Inside) && $this->isWhole($judgement->nowGroup);
        $finer = $judgement === $this->judgement ? $this->finer() : null;
        $chosen = $this->facts->chosen->byChoice;
        // A lock voids the reading, not the setting: what is missing then is the reading again, further down.
        $voidedByLock = $now->is(VerdictKind::Unread) && $this->factsOf($judgement)?->isVoidedByLock() === true;

        return new StageItem(
            'in_band',
            ItemKind::InBand,
            match (true) {
                $finer !== null => 'Set it finer, inside the band',
                $now->is(VerdictKind::Inside) => 'Inside: read it three times',
                default => 'Bring it inside the band',
            },
            new ItemState(
                $finer === null
                    && ($inside || $chosen !== null || $voidedByLock || $this->isLeft($judgement, Pose::Straight)),
                said: match (true) {
                    $finer !== null => $finer->said(),
                    $inside => $now->sentence,
                    $this->isLeft($judgement, Pose::Straight) => "Left as it reads: {$now->sentence}",
                    $chosen !== null => "Left outside by choice: {$chosen->reason}",
                    $voidedByLock => null,
                    default => $now->sentence,
                },
                stamp: $chosen?->stamp,
            ),
            answers: $this->leaving($judgement, Pose::Straight),
        );
    }

    /**
     * What a failed proof asks of a setting that is inside its band, where a step that way stays in it; null where
     * nothing does.
     */
    private function finer(): ?ProofEvidence
    {
        [$now, $band] = [$this->judgement->nowGroup, $this->judgement->plannedBand];
        if (
            $now === null
            || $band === null
            || $this->facts->chosen->byChoice !== null
            || $this->facts->answers->checks === []
            || ! ($this->judgement->now->is(VerdictKind::Inside) || $this->isLeft($this->judgement, Pose::Straight))
        ) {
            return null;
        }
        $evidence = ProofEvidence::of($this->spec, $this->run, $this->facts);
        $point = $this->spec->play()->point;

        return $evidence->failed !== []
            && $evidence->room(
                $now,
                $band,
                ($this->run->couplings->at($point) ?? Families::of($this->spec->family)->usualRatio($point))->value,
            ) !== null
            ? $evidence
            : null;
    }

    private function isLeft(Judgement $judgement, Pose $pose): bool
    {
        return isset($this->facts->chosen->enough[ReadEnough::place($this->pointOf($judgement), $pose)]);
    }

    /** @return list<Answer> the way on where an instrument can say no more, and play is more likely inside than not */
    private function leaving(Judgement $judgement, Pose $pose): array
    {
        $may = ($judgement->poses[$pose->value] ?? null)?->mayBeLeft() === true
            && ($judgement->poseGroups[$pose->value]->found->count ?? 0) >= self::WHOLE_GROUP;

        return ! $may || $this->isLeft($judgement, $pose)
            ? []
            : [new Answer(
                'leave',
                'Leave it as it reads',
                EntryKind::Enough,
                ['point' => $this->pointOf($judgement)->value, 'pose' => $pose->value],
            )];
    }

    /** @return list<StageItem> what is asked about readings before they count, in the stage in which they were taken */
    private function doubts(JobStage $stage): array
    {
        $items = [];
        foreach ([$this->judgement, $this->second] as $judgement) {
            foreach ($judgement->poseGroups ?? [] as $pose => $group) {
                $asked = $pose !== Pose::Straight->value
                    ? JobStage::Prove
                    : ($this->facts->readings->isChanged() ? JobStage::Set : JobStage::AsFound);
                if ($group->doubt === null || $asked !== $stage) {
                    continue;
                }
                $id = $group->doubt->reading->stamp->id;
                $items[] = new StageItem("doubt:{$id}", ItemKind::Answer, $group->doubt->question, ItemState::open(),
                    'Or read again, and type it: a reading that several others contradict is left out.',
                    answers: [
                        new Answer(
                            'misread',
                            'Take it back',
                            EntryKind::Void,
                            ['entry' => $id, 'reason' => 'misread'],
                            AnswerTone::Wrong,
                        ),
                        new Answer('right', 'It is right', EntryKind::Upheld, ['reading' => $id], AnswerTone::Plain),
                    ], subject: new ItemSubject($pose, $judgement === $this->second));
            }
        }

        return $items;
    }

    /** @return list<StageItem> */
    private function locks(): array
    {
        $items = [];
        foreach (array_intersect_key($this->run->adjusters(), $this->facts->adjusters->loosened) as $id => $adjuster) {
            $done = isset($this->facts->adjusters->locked[$id]);
            $kind = $adjuster->kind();
            $items[] = new StageItem(
                "lock:{$id}",
                ItemKind::Answer,
                "{$kind->fastening()} the {$adjuster->name()}",
                new ItemState($done, said: $done ? $kind->fastened() : null),
                caution: $kind->fasteningCaution(),
                answers: [new Answer(
                    'ok',
                    $kind->fastened(),
                    EntryKind::Confirmed,
                    ['key' => LockStep::KEY, 'adjuster' => $id],
                    AnswerTone::Right,
                )],
                subject: new ItemSubject($id),
            );
        }

        return $items;
    }

    private function factsOf(Judgement $judgement): ?Facts
    {
        return $judgement === $this->second ? $this->facts->second : $this->facts;
    }

    /** @return list<StageItem> after a move, and after a lock of what nobody moved: it turns what it locks */
    private function readAgain(Judgement $judgement): array
    {
        $point = $this->pointOf($judgement);
        if ($this->facts->readings->moves === [] && $this->factsOf($judgement)?->isVoidedByLock() !== true) {
            return [];
        }
        $read = $this->facts->adjusters->isLocked()
            && $judgement->nowGroup !== null
            && $judgement->nowGroup->doubt === null
            && ! $judgement->now->is(VerdictKind::NotJudged)
            && $this->isWhole($judgement->nowGroup);

        return [new StageItem(
            'reading:left',
            ItemKind::Reading,
            'Read it again, locked',
            new ItemState(
                $read,
                said: $read ? Figure::length($judgement->nowGroup->found->mean).' · '.$judgement->now->sentence : null,
            ),
            $this->spec->howToRead($point),
        )];
    }

    /** @return list<StageItem> */
    private function poses(Judgement $judgement): array
    {
        $isProvisional = $judgement->poseGroups !== [] && $this->isOnStand($judgement);
        if ($this->spec->aim === null || (count($this->spec->conditions->poses) < 2 && ! $isProvisional)) {
            return [];
        }
        $point = $this->pointOf($judgement);

        // Whether one that stands at the edge is turned is asked of the plan, once for all poses.
        $stuck = array_filter(
            $judgement->poses,
            static fn (Verdict $one, string $pose): bool => $pose !== Pose::Straight->value && $one->isStuckAtTheEdge(),
            ARRAY_FILTER_USE_BOTH,
        );
        $stuck = $stuck !== [] && $this->isTurned($judgement) ? $stuck : [];

        $again = $judgement->poseToReadAgain() ?? $this->straightAgain($judgement);

        return array_map(fn (Pose $pose): StageItem => $this->pose(
            $judgement,
            $pose,
            $point,
            isset($stuck[$pose->value]),
            $again === $pose,
        ), $this->spec->conditions->poses);
    }

    /**
     * What is to be read again is asked for before anything else, also where it stands inside and another pose is in
     * doubt beside it.
     */
    private function pose(
        Judgement $judgement,
        Pose $pose,
        ReadingPoint $point,
        bool $isStuck,
        bool $isAgain,
    ): StageItem {
        $group = $judgement->poseGroups[$pose->value] ?? null;
        $verdict = $judgement->poses[$pose->value];
        $inside = $verdict->is(VerdictKind::Inside) || $this->isLeft($judgement, $pose);
        $then = match (true) {
            $isAgain => '. Read it again: one reading may be misread',
            $verdict->advice === null => '',
            default => ". {$verdict->advice}",
        };

        return new StageItem(
            "pose:{$pose->value}",
            ItemKind::Reading,
            'Reading, '.$pose->label(),
            new ItemState(
                $inside && ! $isAgain,
                ($verdict->kind->isOutside() || $isStuck) && ! $isAgain,
                $group === null ? null : Figure::length($group->found->mean).' · '.$verdict->sentence.$then,
                mayStay: $group !== null,
            ),
            $this->spec->howToRead($point),
            answers: $this->leaving($judgement, $pose),
            subject: new ItemSubject($pose->value),
        );
    }

    /**
     * Where a pose is outside and nothing here would reach, by a single reading of the straight one: that one, before
     * anything is blamed.
     */
    private function straightAgain(Judgement $judgement): ?Pose
    {
        return $judgement->isOutsideInAPose() && ($judgement->nowGroup->found->count ?? 0) === 1
            ? $this->adviceOn($judgement)?->outcome()->again
            : null;
    }

    private function adviceOn(Judgement $judgement): ?Advice
    {
        return $judgement === $this->second ? $this->secondAdvice : $this->advice;
    }

    /**
     * Whether a pose at the edge, where no reading tells, is brought further in by turning, or is no matter of reading
     * at all.
     */
    private function isTurned(Judgement $judgement): bool
    {
        $next = $this->adviceOn($judgement)?->outcome();

        return $next !== null && ! in_array($next->kind, [PlanKind::Read, PlanKind::Decide, PlanKind::Prove], true);
    }

    /** Whether what was read last of a straight cable was read on a stand, for a figure on its wheels. */
    private function isOnStand(Judgement $judgement): bool
    {
        $read = $judgement->nowGroup?->first();

        return $read !== null && $this->spec->conditions->areProvisional($read->engine, $read->wheels);
    }

    /** @return list<StageItem> what was set on a stand is proved on the ground */
    private function wheelsDown(): array
    {
        $noted = $this->facts->answers->condition;
        $isOnStand = $noted !== null && $this->spec->conditions->areProvisional($noted->engine, $noted->wheels);
        if ($this->spec->aim === null || ! ($isOnStand || $this->isOnStand($this->judgement))) {
            return [];
        }

        return [new StageItem(
            self::WHEELS_DOWN,
            ItemKind::Answer,
            'Off the stand, on its wheels',
            new ItemState(! $isOnStand, said: $isOnStand ? null : 'On its wheels'),
            'What was read on the stand was good enough to set by. The figure is for the machine on its wheels: read it there.',
            answers: [new Answer(
                'ok',
                'On its wheels',
                EntryKind::Condition,
                array_filter(['engine' => $noted?->engine?->value, 'wheels' => Wheels::OnGround->value]),
                AnswerTone::Right,
            )],
        )];
    }

    private function refit(): Refit
    {
        return Refit::of($this->spec, $this->run, $this->facts);
    }

    /**
     * @return list<StageItem> what is tried by hand, with everything as open as it must be, and what runs with it open
     */
    private function still(Family $family, BesideItems $beside): array
    {
        return [
            ...($family->runsItsTable() ? [] : $beside->outcomes()),
            ...$this->proofs(Running::Still),
            ...$beside->measured(Running::Still),
            ...$this->afterHand($this->proofs(Running::Open)),
        ];
    }

    /** @return list<StageItem> what is put back before anything is run */
    private function refitted(Family $family): array
    {
        return $this->refit()->isAsked()
            ? [...$this->coversBack(), ...array_map($this->step(...), $family->refit())]
            : [];
    }

    /** @return list<StageItem> what runs the machine, after the refit */
    private function running(Family $family, BesideItems $beside): array
    {
        return [
            ...($family->runsItsTable() ? $beside->outcomes() : []),
            ...$this->afterHand([...$this->proofs(Running::Refitted), ...$beside->measured(Running::Refitted)]),
        ];
    }

    /**
     * What runs the machine says so where something is still to be tried by hand: whoever turns to it out of order is
     * told before anything runs.
     *
     * @param  list<StageItem>  $items
     * @return list<StageItem>
     */
    private function afterHand(array $items): array
    {
        return $this->judgement->untriedAtRest() === [] ? $items
            : array_map(
                static fn (StageItem $item): StageItem => $item->done ? $item : $item->minding(self::HAND_FIRST),
                $items,
            );
    }

    /**
     * @return list<StageItem> a fault is never passed in silence: it is mended, or left with a reason where that is
     *     allowed
     */
    private function faults(Family $family): array
    {
        $items = [];
        foreach ($this->spec->inspections() as $inspection) {
            $found = $this->facts->answers->inspected[$inspection->key] ?? null;
            if ($inspection->gate !== null || $found?->finding !== Finding::Fault) {
                continue;
            }
            $items[] = self::fault($inspection, $found, $family->allowsByChoice());
        }

        return $items;
    }

    private static function fault(Inspection $inspection, Inspected $found, bool $mayBeLeft): StageItem
    {
        $kind = EntryKind::Inspected;
        $body = static fn (Finding $finding): array => ['key' => $inspection->key, 'finding' => $finding->value];
        [$sound, $noted] = [$body(Finding::Sound), $body(Finding::Noted)];
        $mended = new Answer('mended', 'Mended or replaced', $kind, $sound, AnswerTone::Right, true, 'What was done');
        $left = new Answer('left', 'Leave it, and say why', $kind, $noted, AnswerTone::Plain, true, 'Why it is left');

        return new StageItem(
            "fault:{$inspection->key}",
            ItemKind::Answer,
            "Put right: {$inspection->label}",
            new ItemState(
                false,
                said: $found->remark === null ? 'Fault' : "Fault: {$found->remark}",
                stamp: $found->stamp,
            ),
            ($found->remark === null ? '' : "Found: {$found->remark}. ")
                .'Mend it or replace it; what was read before no longer compares.',
            answers: $mayBeLeft ? [$mended, $left] : [$mended],
            subject: new ItemSubject($inspection->key),
        );
    }

    /**
     * @return list<StageItem> what nobody may use: it is replaced or tagged before anything is set, tried or run with
     *     it
     */
    private function gatedFaults(): array
    {
        $family = Families::of($this->spec->family);
        $items = [];
        foreach ($this->spec->inspections() as $inspection) {
            $found = $this->facts->answers->inspected[$inspection->key] ?? null;
            if ($inspection->gate === null || $found?->finding !== Finding::Fault) {
                continue;
            }
            $why = array_values(array_filter(
                $this->judgement->gates,
                static fn (GateState $one): bool => $one->gate->key === $inspection->gate,
            ))[0]->sentence
                ?? '';
            $said = $found->remark === null ? 'Fault' : "Fault: {$found->remark}";
            $items[] = new StageItem(
                "fault:{$inspection->key}",
                ItemKind::Answer,
                "Not fit: {$inspection->label}",
                new ItemState(false, said: $said, stamp: $found->stamp),
                ($found->remark === null ? '' : "Found: {$found->remark}. ")
                    .trim("{$why} Replace it, or tag the machine: nothing is set or run with it."),
                // Replacing the cable, step by step, is what is offered first where it can be.
                answers: [new Answer(
                    'mended',
                    'Replaced, and sound now',
                    EntryKind::Inspected,
                    ['key' => $inspection->key, 'finding' => Finding::Sound->value],
                    $inspection->key === self::WIRE && $family->notSettable() === null
                        ? AnswerTone::Plain
                        : AnswerTone::Right,
                    true,
                    'What was done',
                )],
                subject: new ItemSubject($inspection->key));
        }

        return $items;
    }

    /** @return list<StageItem> */
    private function proofs(Running $running): array
    {
        $items = [];
        foreach (array_filter(
            $this->facts->proofs($this->spec, $this->run),
            static fn (Proof $proof): bool => $proof->running === $running,
        ) as $proof) {
            foreach ($proof->tries() as $pose) {
                $items[] = $this->proof($proof, $pose);
            }
        }

        return $items;
    }

    private function proof(Proof $proof, ?Pose $pose): StageItem
    {
        $key = Facts::checkKey($proof->key, $pose?->value);
        $given = $this->facts->answers->checks[$key] ?? null;
        $passed = $given !== null && $this->facts->passes($proof, $given);
        $label = $proof->question.($pose === null ? '' : ', '.$pose->label());

        return new StageItem(
            "check:{$key}",
            ItemKind::Answer,
            $label,
            new ItemState(
                $passed,
                $given !== null && ! $passed,
                $given === null
                    ? null
                    : ($proof->answers->words[$given->answer] ?? $given->answer)
                        .($given->remark === null ? '' : ": {$given->remark}"),
                $given?->stamp,
                $given !== null && $proof->tolerates($given->answer),
            ),
            null,
            $proof->caution,
            self::answersTo($proof, $pose),
            subject: new ItemSubject($pose?->value),
        );
    }

    /** @return list<Answer> */
    private static function answersTo(Proof $proof, ?Pose $pose): array
    {
        $answers = [];
        foreach ($proof->answers->words as $word => $label) {
            $asksWhy = $proof->asksWhy($word);
            $tone = $proof->passes($word) ? AnswerTone::Right : AnswerTone::Wrong;
            $answers[] = new Answer(
                $word,
                $label,
                EntryKind::Check,
                ['key' => $proof->key, 'answer' => $word] + ($pose === null ? [] : ['pose' => $pose->value]),
                $asksWhy ? AnswerTone::Plain : $tone,
                $asksWhy,
                $asksWhy ? 'Why not?' : null,
            );
        }

        return $answers;
    }

    /** @return list<StageItem> */
    private function coversBack(): array
    {
        $items = [];
        foreach ($this->refit()->coversOff() as $id => $cover) {
            $items[] = new StageItem(
                "cover:{$id}",
                ItemKind::Answer,
                ucfirst($cover).' back on',
                ItemState::open(),
                answers: [new Answer(
                    'ok',
                    'Back on',
                    EntryKind::Cover,
                    ['adjuster' => $id, 'off' => false],
                    AnswerTone::Right,
                )],
                subject: new ItemSubject($id),
            );
        }

        return $items;
    }

    private function signOff(): StageItem
    {
        $closed = $this->facts->closed;

        return new StageItem(
            'sign_off',
            ItemKind::SignOff,
            'Sign the job',
            new ItemState(
                $closed !== null,
                said: match ($closed?->outcome) {
                    null => null,
                    ClosingOutcome::Fit => 'Fit for use',
                    ClosingOutcome::ByChoice => 'Left outside by choice',
                    ClosingOutcome::Tagged => 'Tagged: do not run',
                    ClosingOutcome::Checked => 'Checked: play inside',
                },
                stamp: $closed?->stamp,
            ),
        );
    }

    /** @param  list<Answer>  $answers */
    private function answered(
        string $key,
        string $label,
        ?Entry $entry,
        ?string $said,
        bool $failed,
        ?string $detail,
        ?string $caution,
        array $answers,
    ): StageItem {
        return new StageItem(
            $key,
            ItemKind::Answer,
            $label,
            new ItemState($entry !== null, $failed, $entry === null ? null : $said, $entry?->stamp),
            $detail,
            $caution,
            $answers,
        );
    }
}
