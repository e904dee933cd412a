<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchLine;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\MeasuredHand;
use VividPull\Core\Bench\Shown;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Families;
use VividPull\Core\Input\Node;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\CoverMoved;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\HandMeasured;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\NothingFound;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Log\Entry\PutRight;
use VividPull\Core\Log\Entry\ReadEnough;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Log\ThreadState;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\PlanOutcome;
use VividPull\Core\Planning\SettledBy;
use VividPull\Core\Planning\TableAdviceKind;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Progress\ItemKey;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\EntryCodec;

/**
 * Works a job on a control whose truth the bench does not see: reads it, tries it and turns it as it is asked to, and
 * says what is so.
 */
final class HonestHand
{
    private const MOST = 260;

    private const MOST_READINGS = 6;

    /** Marks that no hand is off by. */
    private const MISREAD = 5.0;

    private BenchState $state;

    private readonly EntryCodec $codec;

    private readonly Person $person;

    private int $count = 0;

    private int $moves = 0;

    private int $readings = 0;

    /** @var list<string> what was asked, the last few */
    private array $asked = [];

    /** @var list<Act|Entry> what it did and wrote, in order */
    private array $deeds = [];

    /**
     * @param  array<string, float>  $at  as the job is told that adjusters stand
     * @param  array{id: string, kind: string, resolution_mm: float}  $instrument
     */
    private function __construct(
        Spec $spec,
        Run $run,
        private readonly TrueControl $control,
        array $at,
        private readonly array $instrument,
        private readonly bool $seesThreads,
    ) {
        $this->person = new Person('hand', 'Hand', Role::Technician);
        $this->codec = new EntryCodec($run);
        $opened = $this->codec->entry(EntryKind::Opened, Node::of(['control' => 'practice', 'standing' => [
            ...($at === [] ? [] : ['positions_steps' => $at]),
            'shelf' => [['name' => $instrument['id'], 'reach_mm' => 500] + $instrument],
        ]]), $this->stamp());
        $this->state = Bench::replay($spec, $run, Log::of($opened));
    }

    /**
     * @param  array<string, float>  $at
     * @param  array{id: string, kind: string, resolution_mm: float}  $instrument
     * @param  bool  $seesThreads  whether it measures a thread that it is asked for, or says that it cannot be seen
     */
    public static function work(
        Spec $spec,
        Run $run,
        TrueControl $control,
        array $at,
        array $instrument,
        bool $seesThreads = true,
    ): WorkedJob {
        return (new self($spec, $run, $control, $at, $instrument, $seesThreads))->worked();
    }

    private function worked(): WorkedJob
    {
        for ($n = 0; $n < self::MOST; $n++) {
            $item = $this->state->progress->asks();
            if ($item === null) {
                return $this->ended(JobEnd::Lost, 'Nothing is asked.');
            }
            $this->asked[] = $item->key;
            if ($item->kind === ItemKind::SignOff) {
                $open = $this->openGates();

                return $this->ended(
                    $open === [] ? JobEnd::Fit : JobEnd::Tagged,
                    implode(' ', array_map(static fn (GateState $one): string => $one->sentence, $open)),
                );
            }
            $why = $this->goOn($item);
            if ($why !== null) {
                return $why;
            }
        }

        return $this->ended(JobEnd::Lost, 'It does not come to an end.');
    }

    /** @return array<int, GateState> that are not passed */
    private function openGates(): array
    {
        return array_filter(
            $this->state->judgement->gates,
            static fn (GateState $one): bool => $one->status !== GateStatus::Passed,
        );
    }

    private function ended(JobEnd $end, string $why): WorkedJob
    {
        return new WorkedJob(
            $end,
            $why,
            $this->count - 1,
            $this->moves,
            array_slice($this->asked, -8),
            $this->state,
            $this->deeds,
        );
    }

    /** Null where it goes on. */
    private function goOn(StageItem $item): ?WorkedJob
    {
        if ($item->key !== ($this->asked[count($this->asked) - 2] ?? $item->key)) {
            $this->readings = 0;
        }
        if (
            $item->key === 'put_right'
            || ($item->failed && $item->kind === ItemKind::InBand && $this->control->wants() !== null)
        ) {
            return $this->putRight();
        }

        return match (true) {
            $item->kind === ItemKind::Thread => $this->thread($item),
            $item->kind === ItemKind::Measure => $this->measure($item),
            $item->kind === ItemKind::Reading => ItemKey::of($item->key)->topic === ItemTopic::Pose
                && in_array($this->of($item)->next()->kind, [PlanKind::Move, PlanKind::RoutingFault], true)
                ? $this->set($item)
                : $this->read($item),
            $item->kind === ItemKind::InBand => $this->set($item),
            default => $this->answer($item),
        };
    }

    /** Too fast, or too near to it to tell, the governor's nut is turned out as the bench says; else it is measured. */
    private function measure(StageItem $item): ?WorkedJob
    {
        $governor = $item->measure === MeasureKey::GroundSpeed ? $this->state->governor() : null;
        $nut = $this->state->run->adjuster($governor->adjuster ?? '');
        if ($nut !== null && $governor?->steps !== null && $governor->steps->count > 0) {
            return $this->turn($nut, $governor->steps);
        }
        $what = $item->measure;
        $amount = $what === null ? null : $this->control->measures($what);
        if ($what === null || $amount === null) {
            return $this->ended(JobEnd::Lost, "{$item->label} cannot be measured here.");
        }
        $this->deeds[] = Act::measure($what);

        return $this->line(sprintf("%.{$what->decimals()}F", $amount), $item);
    }

    private function thread(StageItem $item): ?WorkedJob
    {
        foreach ($item->answers as $answer) {
            if ($answer->word === 'ok') {
                return $this->entry($answer->writes);
            }
        }
        if (! $this->seesThreads) {
            return $this->entry(ThreadNoted::draftUncounted((string) $item->about, ThreadState::Unseen));
        }
        $adjuster = $this->state->run->adjuster((string) $item->about);

        return $adjuster === null ? $this->ended(JobEnd::Lost, "No adjuster is {$item->about}.")
            : $this->entry(ThreadNoted::draft($adjuster, $this->control->stands($adjuster->id())));
    }

    private function read(StageItem $item): ?WorkedJob
    {
        if ($this->readings++ >= self::MOST_READINGS) {
            return $this->enough($item);
        }
        $pose = ItemKey::of($item->key)->topic === ItemTopic::Pose
            ? Pose::tryFrom((string) $item->about)
            : $this->posed($this->of($item)->judgement);

        if (! $this->control->isSettled()) {
            $this->control->settle();
            $this->deeds[] = Act::snap();
        }
        $this->deeds[] = Act::hold($this->point($item), $pose ?? Pose::Straight);

        return $this->line(
            sprintf('%.2F', $this->control->read($this->point($item), $pose, $this->instrument['resolution_mm'])),
            $item,
            $pose,
        );
    }

    /** Where it is set; another pose where that was read once and stands apart, and else when it is asked for. */
    private function posed(Judgement $judgement): Pose
    {
        return $judgement->now->is(VerdictKind::Unread)
            ? Pose::Straight
            : $judgement->poseToReadAgain() ?? Pose::Straight;
    }

    private function point(StageItem $item): ReadingPoint
    {
        return ($item->isSecond ? $this->state->spec->second : $this->state->spec->aim)->point
            ?? ReadingPoint::LeverTip;
    }

    /** The instrument can say no more. */
    private function enough(StageItem $item): ?WorkedJob
    {
        $this->readings = 0;
        $pose = ItemKey::of($item->key)->topic === ItemTopic::Pose
            ? Pose::from((string) $item->about)
            : $this->posed($this->of($item)->judgement);
        $verdict = $this->of($item)->judgement->poses[$pose->value] ?? null;
        if ($verdict !== null && $verdict->mayBeLeft()) {
            return $this->entry(ReadEnough::draft($this->point($item), $pose));
        }

        // Neither told nor likely enough to be left: it is turned as the bench would turn it, or nothing that turns is
        // left.
        $next = $this->of($item)->next();
        $adjuster = $this->state->run->adjuster($next->recommended ?? '');
        $steps = $next->options[$next->recommended ?? '']->steps ?? null;

        return match (true) {
            $next->kind === PlanKind::Suspect && $this->control->wants() !== null => $this->putRight(),
            $next->kind === PlanKind::OutOfThread => $this->ended(JobEnd::Spent, $next->sentence),
            $next->isLookedFor() => $this->looked($next),
            $next->kind === PlanKind::Suspect => $this->ended(JobEnd::Suspected, $next->sentence),
            $next->kind !== PlanKind::Decide => $this->ended(
                JobEnd::Lost,
                "It is read again and again at {$item->key}: {$next->sentence}",
            ),
            $adjuster === null || $steps === null => $this->ended(JobEnd::Spent, $next->sentence),
            default => $this->turn($adjuster, $steps),
        };
    }

    /** The cable that an item is about, looked at by itself. */
    private function of(StageItem $item): BenchState
    {
        return $item->isSecond ? $this->state->second ?? $this->state : $this->state;
    }

    private function set(StageItem $item): ?WorkedJob
    {
        $next = $this->of($item)->next();
        if ($next->kind === PlanKind::Table) {
            return $this->table();
        }
        $advice = $next->options[$next->recommended ?? ''] ?? null;
        $adjuster = $this->state->run->adjuster($next->recommended ?? '');
        // Where an adjuster is to be brought home, the move that does it is shown, though play is inside.
        $isShown = $next->kind === PlanKind::Move
            || ($next->kind === PlanKind::Prove && ItemKey::of($item->key)->topic === ItemTopic::Home);
        if ($isShown && $advice?->steps !== null && $adjuster !== null) {
            return $this->turn($adjuster, $advice->steps);
        }

        return match ($next->kind) {
            PlanKind::Read, PlanKind::Decide => $this->read($item),
            // Inside, and the item wants it read until it is whole.
            PlanKind::Prove => $this->control->wants() !== null && $item->failed
                ? $this->putRight()
                : $this->read($item),
            PlanKind::RoutingFault, PlanKind::Suspect, PlanKind::OutOfThread => match (true) {
                $this->control->wants() !== null => $this->putRight(),
                $next->kind === PlanKind::OutOfThread => $this->ended(JobEnd::Spent, $next->sentence),
                ! $next->isLookedFor() => $this->ended(JobEnd::Suspected, $next->sentence),
                default => $this->looked($next),
            },
            default => $this->ended(JobEnd::Lost, "{$next->kind->value}: {$next->sentence}"),
        };
    }

    /**
     * What is to be measured is measured. Where nothing is wrong nothing is found: it is read anew once, for a reading
     * may have been misread.
     */
    private function looked(PlanOutcome $next): ?WorkedJob
    {
        if ($next->settledBy === SettledBy::Hand) {
            $this->readings = 0;

            ['wire_mm' => $wire, 'point_mm' => $points] = $this->control->distances(MeasuredHand::points($this->state));

            return $this->entry(HandMeasured::draft($wire, $points));
        }
        if ($this->state->facts->observations->isLookedAt()) {
            return $this->ended(JobEnd::Suspected, $next->sentence);
        }
        $this->readings = 0;

        return $this->entry(NothingFound::draft());
    }

    private function turn(Adjuster $adjuster, Steps $steps): null
    {
        if ($this->control->isCovered($adjuster->id())) {
            $this->control->uncover($adjuster->id());
            $this->deeds[] = Act::open($adjuster->id());
            $this->entry(CoverMoved::draft($adjuster->id(), true));
        }
        $this->readings = 0;
        $this->moves++;
        $this->control->turn($adjuster->id(), $steps);
        $this->deeds[] = Act::turn($adjuster->id(), $steps);

        return $this->entry(Moved::draft($adjuster, $steps));
    }

    private function table(): ?WorkedJob
    {
        $table = $this->state->judgement->table;
        if ($table === null) {
            return $this->ended(JobEnd::Lost, 'There is no table.');
        }
        $advice = TablePlanner::advise($this->state->spec, $table, $this->state->run, $this->state->facts);
        $adjuster = $this->state->run->adjuster($advice->adjuster ?? '');
        if ($advice->kind === TableAdviceKind::Move && $adjuster !== null) {
            // Where nobody knows what a step moves, a hand watches the arm.
            $steps = $advice->steps ?? $this->control->towards($adjuster, $advice->shift ?? 1.0);
            if ($steps->isNone()) {
                return $this->ended(JobEnd::Spent, "The {$adjuster->name()} is at its end. {$advice->sentence}");
            }

            return $this->turn($adjuster, $steps);
        }
        if ($advice->kind === TableAdviceKind::Try) {
            foreach ($table->untold(true) as $setting) {
                $this->shift($setting->key);

                return $this->entry(OutcomeSeen::draft($setting->key, $this->control->does($setting)));
            }
        }

        if ($this->control->wants() !== null) {
            return $this->putRight();
        }

        return $this->ended(
            $advice->kind === TableAdviceKind::OutOfReach ? JobEnd::Spent : JobEnd::Lost,
            "{$advice->kind->value}: {$advice->sentence}",
        );
    }

    /** As one does who sees what it is. */
    private function putRight(): ?WorkedJob
    {
        $cure = $this->control->wants();
        if ($cure === null) {
            $next = $this->state->next();

            return $this->ended(
                $this->control->isUnsafe() ? JobEnd::Tagged : JobEnd::Lost,
                "Something is to be put right, and nothing is wrong: {$next->sentence}",
            );
        }
        // What was read before is no reading of what stands now.
        $this->readings = 0;
        $this->control->cure($cure);
        $this->deeds[] = Act::cure($cure);

        $isNamed = in_array($cure, Families::of($this->state->spec->family)->cures(), true);

        return $this->entry(PutRight::draft($isNamed ? $cure : Cure::Other));
    }

    private function answer(StageItem $item): ?WorkedJob
    {
        $key = ItemKey::of($item->key);
        $this->doFor($key, $item);
        $word = match ($key->topic) {
            ItemTopic::Check, ItemTopic::Found => $this->shows((string) $key->of),
            ItemTopic::Outcome => $this->does((string) $key->of),
            ItemTopic::Step => $this->control->inspected($item->key) ? null : 'fault',
            ItemTopic::Condition => $this->stands($item),
            ItemTopic::Doubt => $this->wasMisread((string) $key->of) ? 'misread' : 'right',
            default => null,
        };
        if ($word === 'fault') {
            return $this->ended(JobEnd::Tagged, "{$item->label}: a fault.");
        }
        if ($key->topic === ItemTopic::Lock) {
            $this->control->lock((string) $key->of);
        }
        foreach ($item->answers as $answer) {
            if ($word === null || $answer->word === $word) {
                return $this->entry($answer->writes);
            }
        }

        return $this->ended(JobEnd::Lost, "{$item->key} cannot be answered by {$word}.");
    }

    /** Nothing is said that was not tried or looked at. */
    private function doFor(ItemKey $key, StageItem $item): void
    {
        [$proof, $pose] = [...explode('/', (string) $key->of, 2), null];
        if ($key->topic === ItemTopic::Condition && $this->control->isHot() !== $this->control->wantsHot()) {
            // It waits until it stands as the figure wants it.
            $this->control->isHot() ? $this->control->cool() : $this->control->warm();
            array_push($this->deeds, Act::feel(), $this->control->isHot() ? Act::warm() : Act::cool());
        }
        if ($key->topic === ItemTopic::Cover) {
            $this->control->coverUp((string) $item->about);
            $this->deeds[] = Act::shut((string) $item->about);
        }
        $act = match ($key->topic) {
            ItemTopic::Check,
            ItemTopic::Found => Act::try((string) $proof, $pose === null ? null : Pose::tryFrom($pose)),
            ItemTopic::Step => in_array(
                $item->key,
                array_map(
                    static fn (Inspection $one): string => $one->key,
                    Families::of($this->state->spec->family)->lookOver(),
                ),
                true,
            )
                ? Act::look($item->key)
                : null,
            default => null,
        };
        if ($act !== null && $act->kind === ActKind::Look && ! $this->control->isLit()) {
            $this->control->light();
            $this->deeds[] = Act::light();
        }
        if ($act !== null) {
            $this->deeds[] = $act;
        }
        if ($key->topic === ItemTopic::Outcome) {
            $this->shift((string) $key->of);
        }
    }

    /** Shifted, and a wheel turned where teeth have to meet. */
    private function shift(string $setting): void
    {
        $this->deeds[] = Act::run($setting);
        if ($this->control->hasTeeth()) {
            $this->deeds[] = Act::roll();
        }
    }

    /** The answer that says how hot it is; null where that is no part of the question. */
    private function stands(StageItem $item): ?string
    {
        $heat = ($this->control->isHot() ? EngineHeat::Hot : EngineHeat::Cold)->value;
        foreach ($item->answers as $answer) {
            if (($answer->writes->body['engine'] ?? null) === $heat) {
                return $answer->word;
            }
        }

        return null;
    }

    private function shows(string $proof): string
    {
        return Behaviour::word($this->state->spec->family, $this->state->run, explode('/', $proof)[0], $this->control);
    }

    /** It is looked at once more, as closely as it takes to see that. */
    private function wasMisread(string $reading): bool
    {
        $entry = $this->state->log->find($reading);

        return $entry instanceof ReadingTaken
            && abs(
                $entry->mm - max(0.0, $this->control->play($entry->point, $entry->pose)),
            ) > self::MISREAD * $this->instrument['resolution_mm'];
    }

    private function does(string $setting): string
    {
        $found = $this->state->judgement->table->table->settings[$setting] ?? null;

        return $found instanceof OutcomeSetting ? $this->control->does($found) : 'right';
    }

    private function line(string $line, StageItem $item, ?Pose $pose = null): null
    {
        return $this->entry(BenchLine::read(
            $line,
            new Shown(null, null, $pose, null, $this->instrument['id'], $item->key, Unit::Millimetre),
            $this->state,
            $this->person,
        ));
    }

    private function entry(Draft $draft): null
    {
        $entry = $this->codec->drafted($draft, $this->stamp());
        $this->state = Bench::accept($this->state, $entry);
        $this->deeds[] = $entry;

        return null;
    }

    private function stamp(): Stamp
    {
        $this->count++;

        return new Stamp(
            "p{$this->count}",
            sprintf('2026-01-01T08:%02d:%02d+00:00', intdiv($this->count, 60), $this->count % 60),
            $this->person,
        );
    }
}
