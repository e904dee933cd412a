<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use Closure;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchLine;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\MeasuredHand;
use VividPull\Core\Bench\Warnings;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Pulls;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Rotation;
use VividPull\Core\Cable\ThreadedAdjuster;
use VividPull\Core\Facts\MoveMade;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\InstrumentCapability;
use VividPull\Core\Judging\Verdict;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\StandingTag;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\AdjusterAdvice;
use VividPull\Core\Planning\AdjustmentPlan;
use VividPull\Core\Planning\ChosenMode;
use VividPull\Core\Planning\DriftAhead;
use VividPull\Core\Planning\RatioFinding;
use VividPull\Core\Planning\SettledBy;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\ItemKey;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Progress\QuickCheck;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Spec\Torque;

/** A bench state to the wire: everything a screen shows, with units in the keys. Nothing is left to work out. */
final class StateCodec
{
    private function __construct(private readonly BenchState $state) {}

    /** @return array<string, mixed> */
    public static function encode(BenchState $state): array
    {
        return (new self($state))->whole();
    }

    /** @return array<string, mixed> */
    private function whole(): array
    {
        return [...$this->head(), ...$this->bench(), ...$this->end()];
    }

    /** @return array<string, mixed> what is on the bench, and where the job stands */
    private function head(): array
    {
        $state = $this->state;
        $family = Families::of($state->spec->family);
        $entries = $state->log->entries;
        $point = $state->spec->aim->point ?? ReadingPoint::HandleTravel;
        $coupling = $state->run->couplings->at($point) ?? $family->usualRatio($point);

        return [
            'engine' => Bench::ENGINE,
            'head' => $entries[count($entries) - 1]->stamp->id,
            'family' => [
                'key' => $state->spec->family->value,
                'title' => $family->title(),
                'allows_by_choice' => $family->allowsByChoice(),
            ],
            'spec' => $this->spec(),
            'hand' => [
                'kind' => $state->run->hand->kind->value,
                'name' => $state->run->hand->name,
                'ratio' => $coupling->value,
                'knowledge' => $coupling->knowledge->value,
                'distances' => $this->distances(),
                'how_to_measure' => $state->run->hand->howToMeasure(),
                'of_machine' => $state->run->hand->isOfMachine,
            ],
            'working_end' => $state->run->workingEnd,
            'stage' => $state->progress->stage->value,
            'stages' => array_map($this->stage(...), JobStage::cases()),
            'asks' => $state->progress->asks()?->key,
            'condition' => $state->facts->answers->condition === null ? null
                : [
                    'engine' => $state->facts->answers->condition->engine?->value,
                    'wheels' => $state->facts->answers->condition->wheels?->value,
                    'label' => $state->facts->answers->condition->label()
                        .($state->facts->readings->ranSince && $state->spec->heatMatters() ? ', run since' : ''),
                ],
        ];
    }

    /** @return list<array<string, mixed>> what can be measured of the hand control, that to the wire first */
    private function distances(): array
    {
        $hand = $this->state->run->hand;
        $points = MeasuredHand::points($this->state);

        return $points === [] ? [] : [
            ['point' => null, 'label' => $hand->toWire(), 'mm' => $hand->pointMm === [] ? null : $hand->wireMm],
            ...array_map(static fn (ReadingPoint $one): array => [
                'point' => $one->value,
                'label' => $hand->toPoint($one),
                'mm' => $hand->pointMm[$one->value] ?? null,
            ], $points),
        ];
    }

    /** @return array<string, mixed> what was read, what it tells and what to do next */
    private function bench(): array
    {
        $state = $this->state;

        return [
            'adjusters' => array_map($this->adjuster(...), array_values($state->run->adjusters())),
            'found' => $this->judged($state->judgement->foundGroup, $state->judgement->found),
            'now' => $this->judged($state->judgement->nowGroup, $state->judgement->now),
            'poses' => $this->poses(),
            'working_band' => self::band($state->judgement->plannedBand),
            'expected' => $this->expected(),
            'learned' => $this->learned(),
            'next' => $this->next(),
            'beside' => BesideCodec::encode($state),
            'first_label' => $state->run->secondPulls()?->otherLabel(),
            'second_label' => $state->run->secondPulls()?->label(),
            'way_home' => $this->wayHome(),
            'gates' => array_map(static fn (GateState $gate): array => [
                'key' => $gate->gate->key->value, 'title' => $gate->gate->title, 'status' => $gate->status->value,
                'sentence' => $gate->sentence,
            ], $state->judgement->gates),
            'pair' => $state->second === null ? null : (new self($state->second))->side(),
        ];
    }

    /** @return array<string, mixed> how the job may end, who is on it, and its log */
    private function end(): array
    {
        $state = $this->state;
        $wish = $state->facts->chosen->wish;
        $proofs = $state->spec->proofs($state->run);

        return [
            'closing' => [
                'fit' => $state->progress->blocksFit,
                'by_choice' => $state->progress->blocksByChoice,
                'tagged' => $state->progress->blocksTagged,
                'checked' => $state->progress->blocks(ClosingOutcome::Checked),
            ],
            'check' => self::check($state->progress->check),
            'tag' => self::tag($state->facts->tag),
            'wish' => $wish === null ? null : ['say' => $wish->say()] + StandingCodec::encodeWish($wish),
            'may_wish_bite' => array_filter($proofs, static fn (Proof $one): bool => $one->answers->isTaste()) !== [],
            'by_choice' => $state->facts->chosen->byChoice?->reason,
            'closed' => self::closed($state->facts->closed),
            'people' => array_map(self::person(...), array_values($state->facts->joined)),
            'shelf' => $this->shelf(),
            'parts' => array_map(
                static fn (Part $part): array => ['key' => $part->value, 'label' => $part->label()],
                Part::cases(),
            ),
            'warnings' => Warnings::of($state),
            'wrong_state' => $state->wrongState(),
            'log' => LogRows::of($state),
        ];
    }

    /** @return array<string, mixed>|null */
    private static function check(?QuickCheck $check): ?array
    {
        return $check === null ? null : ['on' => $check->isOn(), 'over' => $check->over, 'says' => $check->says];
    }

    /** @return array<string, string>|null */
    private static function tag(?StandingTag $tag): ?array
    {
        return $tag === null ? null : ['reason' => $tag->reason, 'at' => $tag->at, 'by' => $tag->by];
    }

    /** @return array<string, mixed>|null */
    private static function closed(?Closed $closed): ?array
    {
        return $closed === null ? null : [
            'outcome' => $closed->outcome->value,
            'next_check' => $closed->nextCheck,
            'at' => $closed->stamp->at,
            'by' => $closed->stamp->by->name,
        ];
    }

    /** @return array<string, mixed> what a screen shows of the second cable in the place of the first */
    private function side(): array
    {
        return [
            'spec' => $this->spec(),
            'found' => $this->judged($this->state->judgement->foundGroup, $this->state->judgement->found),
            'now' => $this->judged($this->state->judgement->nowGroup, $this->state->judgement->now),
            'poses' => $this->poses(),
            'working_band' => self::band($this->state->judgement->plannedBand),
            'expected' => $this->expected(),
            'learned' => $this->learned(),
            'next' => $this->next(),
            'shelf' => $this->shelf(),
        ];
    }

    /** @return list<array<string, mixed>> the instruments, each with how often it must read to decide this band */
    private function shelf(): array
    {
        $state = $this->state;
        if ($state->spec->aim === null) {
            return [];
        }
        $asked = $state->progress->asks();
        // Straight is read for the band that all poses leave it; each of the others for the book's.
        $isOtherPose = $asked?->topic() === ItemTopic::Pose && $asked->about !== Pose::Straight->value;
        $band = $isOtherPose ? $state->spec->aim->band : $state->judgement->plannedBand ?? $state->spec->aim->band;
        $foresight = new InstrumentCapability(
            $state->facts->standing,
            $band,
            $state->spec->rule,
            $state->log->opened->stamp->by,
        );

        return array_map(static fn (Instrument $instrument): array => StandingCodec::encodeInstrument($instrument) + [
            'readings' => $foresight->readingsWith($instrument),
            'warning' => $foresight->warningOf($instrument),
        ], array_values($state->facts->standing->shelf));
    }

    /** @return list<array<string, mixed>> where play can be read on this control, the spec's own place first */
    private function points(): array
    {
        $own = $this->state->spec->aim?->point;
        if ($own === null) {
            return [];
        }
        $others = array_filter(
            array_map(ReadingPoint::from(...), array_keys($this->state->run->couplings->all())),
            static fn (ReadingPoint $one): bool => $one !== $own,
        );

        $spec = $this->state->spec;

        return array_map(
            static fn (ReadingPoint $one): array => [
                'key' => $one->value,
                'label' => $spec->pointName($one),
                'how_to_read' => $spec->howToRead($one),
            ],
            [$own, ...array_values($others)],
        );
    }

    /** @return array<string, mixed> */
    private function spec(): array
    {
        $spec = $this->state->spec;
        $policy = $this->state->facts->chosen->policy ?? $spec->policy;

        return [
            'point' => $spec->aim?->point->value,
            'points' => $this->points(),
            'point_label' => $spec->aim === null ? null : $spec->pointName($spec->aim->point),
            'how_to_read' => $spec->aim === null ? null : $spec->howToRead($spec->aim->point),
            'band' => self::band($spec->aim?->band) ?? ['low_mm' => null, 'high_mm' => null],
            'say' => $spec->say(),
            'engine' => $spec->conditions->engine?->value,
            'wheels' => $spec->conditions->wheels?->value,
            'poses' => array_map(
                static fn (Pose $pose): array => ['key' => $pose->value, 'label' => $pose->label()],
                $spec->conditions->poses,
            ),
            'policy' => $policy->value,
            'policy_label' => $policy->label(),
            'mode' => ChosenMode::of($this->state->run, $this->state->facts)->value,
            'parking' => ChosenMode::parking($this->state->facts)->value,
            'like' => $this->state->facts->chosen->like?->machine,
            'aims_wish' => $this->state->facts->chosen->like === null
                && $this->state->facts->chosen->policy === null
                && $this->state->facts->chosen->wish?->mm !== null,
            'rule' => $spec->rule->value,
            'source' => $spec->source->say(),
            'entered_by' => $spec->source->enteredBy,
            'checked_by' => $spec->source->checkedBy,
            'torques' => array_map(
                static fn (Torque $one): array => ['what' => $one->what, 'nm' => $one->nm],
                $spec->book->torques,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function stage(JobStage $stage): array
    {
        $items = $this->state->progress->items[$stage->value] ?? [];
        $done = count(array_filter($items, static fn (StageItem $item): bool => $item->done));

        return [
            'key' => $stage->value,
            'title' => $stage->title(),
            'done' => $done === count($items) && $this->reached($stage),
            'summary' => $this->summary($stage, $done, count($items)),
            'cautions' => Families::of($this->state->spec->family)->cautions($stage),
            'items' => array_map(self::item(...), $items),
            'together' => $this->together($stage),
        ];
    }

    /**
     * @return array{word: string, label: string, keys: list<string>}|null what may be confirmed at once, by the word
     *     that is typed for it
     */
    private function together(JobStage $stage): ?array
    {
        $lines = $this->state->progress->together($stage);

        return $lines === [] ? null : [
            'word' => BenchLine::ALL_OK,
            'label' => $stage === JobStage::LookOver
                ? 'All '.count($lines).' are sound'
                : 'All '.count($lines).' are true',
            'keys' => array_map(static fn (StageItem $line): string => $line->key, $lines),
        ];
    }

    /** Later stages are not ticked while an earlier one lacks something. */
    private function reached(JobStage $stage): bool
    {
        $order = JobStage::cases();

        return array_search($stage, $order, true) <= array_search($this->state->progress->stage, $order, true);
    }

    private function summary(JobStage $stage, int $done, int $all): string
    {
        $found = $this->state->judgement->foundGroup;
        $moves = count($this->state->facts->readings->moves);

        return match ($stage) {
            JobStage::AsFound => $this->state->spec->aim === null
                ? "{$done} of {$all} told"
                : ($found === null
                    ? 'not read yet'
                    : Figure::length($found->found->mean).', '.self::word($this->state->judgement->found)),
            JobStage::Set => match (true) {
                $moves > 0 => $moves === 1 ? '1 move' : "{$moves} moves",
                $this->state->spec->aim === null => $done === $all ? 'nothing to put right' : 'put it right',
                $found === null => 'bring it inside',
                $done === $all => 'no move needed',
                $this->state->judgement->now->is(VerdictKind::Inside) => 'put it right',
                default => 'bring it inside',
            },
            JobStage::Close => $this->state->facts->closed === null
                ? "{$done} of {$all} done"
                : 'signed by '.$this->state->facts->closed->stamp->by->name,
            JobStage::MakeSafe => "{$done} of {$all} confirmed",
            JobStage::LookOver => "{$done} of {$all} looked over",
            JobStage::Prove => "{$done} of {$all} passed",
        };
    }

    /** @return array<string, mixed> */
    private static function item(StageItem $item): array
    {
        $key = ItemKey::of($item->key);

        return [
            'key' => $item->key,
            'topic' => $key->topic->value,
            'of' => $key->of,
            'kind' => $item->kind->value,
            'label' => $item->label,
            'done' => $item->done,
            'failed' => $item->failed,
            'said' => $item->said,
            'detail' => $item->detail,
            'caution' => $item->caution,
            'about' => $item->about,
            'is_second' => $item->isSecond,
            'measure' => $item->measure?->value,
            'by' => $item->stamp?->by->name,
            'at' => $item->stamp?->at,
            'answers' => array_map(static fn (Answer $answer): array => [
                'word' => $answer->word,
                'hint' => $answer->hint($item->answers),
                'label' => $answer->label,
                'kind' => $answer->writes->kind->value,
                'body' => $answer->writes->body,
                'tone' => $answer->tone->value,
                'asks_remark' => $answer->asksRemark,
                'question' => $answer->question,
            ], $item->answers),
        ];
    }

    /** @return array<string, mixed> */
    private function adjuster(Adjuster $adjuster): array
    {
        return [...$this->kindOf($adjuster), ...$this->placeOf($adjuster), ...$this->handledAs($adjuster)];
    }

    /** @return array<string, mixed> what it is, and how it is counted */
    private function kindOf(Adjuster $adjuster): array
    {
        $id = $adjuster->id();
        $threaded = $adjuster instanceof ThreadedAdjuster ? $adjuster : null;
        $shows = self::showing($adjuster);

        return [
            'id' => $id,
            'name' => $adjuster->name(),
            'kind' => $adjuster->kind()->value,
            'kind_label' => $adjuster->kind()->label(),
            'sets' => $adjuster->kind()->sets()->value,
            'cable' => $this->state->run->cableOf($id)->id ?? '',
            'pulls' => ($this->state->run->cableOf($id)->pulls ?? Pulls::Opening)->value,
            'thread' => $threaded?->pitch->name,
            'mm_per_unit' => abs($adjuster->slackGiven($adjuster->counting()->each)),
            'unit' => $adjuster->counting()->unit->value,
            'units' => $adjuster->counting()->unit->plural(),
            'letters' => $adjuster->counting()->unit->letters(),
            'outward' => $adjuster->ways()->outward,
            'inward' => $adjuster->ways()->inward,
            'sense' => $adjuster->sense()->value,
            'travel_mm' => $shows($adjuster->travel()->to),
            'places' => $adjuster->counting()->unit->isWhole() && $threaded === null ? $this->places($adjuster) : [],
        ];
    }

    /** @return array<string, mixed> where it stands, and what room it has */
    private function placeOf(Adjuster $adjuster): array
    {
        $at = $this->state->facts->adjusters->at($adjuster);
        $home = $this->state->facts->adjusters->homeOf($adjuster);
        $shows = self::showing($adjuster);

        return [
            'healthy_from_mm' => $shows($adjuster->healthy()->from),
            'healthy_to_mm' => $shows($adjuster->healthy()->to),
            'at_mm' => $at === null ? null : $shows($at),
            'at_say' => $at === null ? null : $adjuster->where($at),
            'room_say' => $at === null
                ? null
                : $adjuster->room(
                    $this->goesOutward($adjuster)
                        ? $adjuster->travel()->to->minus($at)
                        : $at->minus($adjuster->travel()->from),
                ),
            'room_way' => $this->goesOutward($adjuster) ? $adjuster->ways()->outward : $adjuster->ways()->inward,
            'home_say' => $home === null ? null : $adjuster->where($home),
            'home_mm' => $home === null ? null : $shows($home),
        ];
    }

    /** @return array<string, mixed> how it is reached, and what was done with it */
    private function handledAs(Adjuster $adjuster): array
    {
        $facts = $this->state->facts;
        $id = $adjuster->id();
        $at = $facts->adjusters->at($id);

        return [
            'caution' => $adjuster->kind()->caution(),
            'guide' => array_map(
                static fn (GuideStep $step): array => [
                    'key' => $step->key,
                    'label' => $step->label,
                    'caution' => $step->caution,
                ],
                Guide::of($adjuster->kind()),
            ),
            'guide_done' => count($facts->adjusters->guides[$id] ?? []),
            'touched' => isset($facts->adjusters->touched[$id]),
            'locked' => isset($facts->adjusters->locked[$id]),
            'healthy' => $at === null || $adjuster->healthy()->contains($at),
            'cover' => $adjuster->access()->cover,
            'cover_off' => isset($facts->adjusters->coversOff[$id]),
            'minutes' => $adjuster->access()->minutes,
            'tools' => $adjuster->access()->tools,
            'lock' => $adjuster->lock(),
            'lock_torque_nm' => $adjuster->lockTorqueNm(),
        ];
    }

    /** @return Closure(Steps): float */
    private static function showing(Adjuster $adjuster): Closure
    {
        return static fn (Steps $position): float => $adjuster->showing($position->minus($adjuster->travel()->from));
    }

    /** Room is said in the direction of the move that is advised; else in that in which this control drifts. */
    private function goesOutward(Adjuster $adjuster): bool
    {
        $advised = $this->state->next()->options[$adjuster->id()]->steps ?? null;

        return $advised !== null ? $advised->count > 0
            : DriftAhead::of(
                $this->state->facts->standing,
                Families::of($this->state->spec->family)->drift(),
            )->isOutwardFor($adjuster);
    }

    /** @return array<string, mixed> */
    private function judged(?ReadingGroup $group, Verdict $verdict): array
    {
        return [
            'mm' => $group?->found->mean,
            'expanded_mm' => $group?->found->expanded(),
            'standard_mm' => $group?->found->standard(),
            'freedom' => $group === null || is_infinite($group->found->freedom()) ? null : $group->found->freedom(),
            'count' => $group?->found->count ?? 0,
            'instrument' => $group?->instrument->name,
            'overdue_since' => $group?->overdueSince(),
            'converted_from' => $group?->convertedFrom?->label(),
            'left_out' => array_map(static fn (ReadingTaken $one): string => $one->entered, $group->leftOut ?? []),
            'doubt' => $group?->doubt?->question,
            'verdict' => $verdict->kind->value,
            'sentence' => $verdict->sentence,
            'advice' => $verdict->advice,
            'chance_inside' => $verdict->chanceInside,
            'beyond_mm' => $verdict->beyond,
        ];
    }

    /** @return list<array<string, mixed>> */
    private function poses(): array
    {
        $poses = [];
        foreach ($this->state->spec->aim === null ? [] : $this->state->spec->conditions->poses as $pose) {
            $sweep = $this->state->judgement->sweep->poses[$pose->value] ?? null;
            $poses[] = ['pose' => $pose->value, 'label' => $pose->label()]
                + $this->judged(
                    $this->state->judgement->poseGroups[$pose->value] ?? null,
                    $this->state->judgement->poses[$pose->value],
                )
                + [
                    'offset_mm' => $sweep['d'] ?? 0.0,
                    'offset_u_mm' => $sweep['u'] ?? 0.0,
                    'offset_read' => $sweep['read'] ?? true,
                ];
        }

        return $poses;
    }

    /**
     * @return array<string, float>|null what a reading due now should say; null when it was read, or nothing has placed
     *     it
     */
    private function expected(): ?array
    {
        $play = $this->state->beliefs()->play;
        $groups = $this->state->facts->readings->groups;
        if ($this->state->judgement->nowGroup !== null || ! $play->isPlaced() || $groups === []) {
            return null;
        }
        [$low, $high] = $play->range(0.95, 0.0, $groups[count($groups) - 1]->found->standardOfNext());

        return ['mm' => max(0.0, $play->expected(0.0)), 'low_mm' => max(0.0, $low), 'high_mm' => max(0.0, $high)];
    }

    /** @return array<string, mixed> */
    private function learned(): array
    {
        $play = $this->state->beliefs()->play;
        $prior = $play->taught();

        return [
            'point' => $this->state->spec->aim?->point->value,
            'ratio' => $play->ratio(),
            'ratio_deviation' => $play->ratioDeviation(),
            'ln_ratio' => $prior->ln,
            'spread' => $prior->spread,
            'taught' => $play->hasTaught(),
            'machines' => $this->state->spec->aim === null || $play->hasTaught()
                ? 0
                : ($this->state->facts->standing->taughtAt($this->state->spec->play()->point)->machines ?? 0),
            'finding' => $this->finding(),
            'sides_mm' => $play->isPlaced() && $play->sides()->areKnown() ? $play->sides()->apart : null,
            'creep_mm' => $this->state->beliefs()->creep->expectedAt(1.0),
            'moves' => count(array_filter(
                $this->state->facts->readings->moves,
                static fn (MoveMade $move): bool => $move->entry->steps !== null && ! $move->crossed,
            )),
            'per_step' => array_map(static fn (Adjuster $a): array => [
                'adjuster' => $a->id(),
                'unit' => $a->counting()->unit->value,
                'mm' => $play->ratio() * $a->slackGiven($a->counting()->each),
                'expanded_mm' => abs(1.96 * $play->ratioDeviation() * $a->slackGiven($a->counting()->each)),
            ], array_values($this->state->run->playAdjusters())),
        ];
    }

    /** @return array<string, mixed> */
    private function next(): array
    {
        $next = $this->state->next();

        return [
            'kind' => $next->kind->value,
            'sentence' => $next->sentence,
            'looked_at' => $next->isLookedAt,
            'settled_by' => $next->settledBy?->value,
            'finer' => $next->settledBy === SettledBy::Finer ? $this->finer() : [],
            'suspects' => SuspectCodec::encode(Families::of($this->state->spec->family), $next->suspects),
            'recommended' => $next->recommended,
            'target_mm' => $next->target,
            'options' => array_map($this->option(...), array_values($next->options)),
            'plan' => $this->plan($next->plan),
        ];
    }

    /** @return list<string> instruments of the shelf that are finer than the one it was read with, the finest first */
    private function finer(): array
    {
        $group = $this->state->judgement->nowGroup;

        return $group === null ? [] : array_map(
            static fn (Instrument $one): string => $one->id,
            $this->state->facts->standing->finerThan($group->instrument, $group->found->mean),
        );
    }

    /** @return array<string, mixed> */
    private function option(AdjusterAdvice $advice): array
    {
        $adjuster = $this->state->run->adjuster($advice->adjuster);

        return [
            'adjuster' => $advice->adjuster,
            'kind' => $advice->kind->value,
            'direction' => $advice->steps === null ? null : $this->direction($adjuster, $advice->steps),
            'rotation' => $advice->steps === null ? null : $this->rotation($advice->adjuster, $advice->steps)?->value,
            'seen_from' => $adjuster?->kind()->seenFrom() ?? '',
            'say' => $advice->steps === null ? null : $adjuster?->counting()->say($advice->steps),
            'phrase' => $advice->steps === null ? null : $adjuster?->say($advice->steps),
            'steps' => $advice->steps?->toFloat(),
            'grows_mm' => $advice->steps === null ? null : $adjuster?->showing($advice->steps),
            'expected_mm' => $advice->expected === null ? null : max(0.0, $advice->expected),
            'low_mm' => $advice->low,
            'high_mm' => $advice->high,
            'chance' => $advice->chance,
            'room_say' => $advice->roomLeft,
            'healthy_after' => $advice->healthyAfter,
            'sentence' => $advice->sentence,
        ];
    }

    /** @return array<string, mixed>|null what the readings say of the ratio against the spec */
    private function finding(): ?array
    {
        $finding = RatioFinding::of($this->state->spec, $this->state->run, $this->state->beliefs());

        return $finding === null
            ? null
            : [
                'sentence' => $finding->sentence,
                'told' => $finding->told,
                'learned' => $finding->learned,
                'expanded' => 2 * $finding->deviation,
            ];
    }

    private function direction(?Adjuster $adjuster, Steps $steps): ?string
    {
        return $adjuster?->ways()->of($steps);
    }

    /** @return array<string, mixed>|null */
    private function plan(?AdjustmentPlan $plan): ?array
    {
        return $plan === null ? null : [
            'steps' => array_map($this->option(...), $plan->steps),
            'done' => $plan->done,
            'why' => $plan->why,
            'runner_up' => $plan->runnerUp,
        ];
    }

    /** @return list<float> the rungs, holes or teeth there are, from the first */
    private function places(Adjuster $adjuster): array
    {
        return array_map(
            static fn (int $count): float => $count / Steps::PER_TURN,
            range($adjuster->travel()->from->count, $adjuster->travel()->to->count, $adjuster->smallestStep()->count),
        );
    }

    private function rotation(string $adjuster, Steps $steps): ?Rotation
    {
        $out = $this->state->run->adjuster($adjuster)?->kind()->rotationOut();

        return $steps->count < 0 ? $out?->opposite() : $out;
    }

    /** @return list<array<string, mixed>> */
    private function wayHome(): array
    {
        $way = [];
        foreach ($this->state->wayHome() as $id => $steps) {
            $adjuster = $this->state->run->adjuster($id);
            if ($adjuster !== null && $steps?->isNone() !== true) {
                $way[] = [
                    'adjuster' => $id,
                    'name' => $adjuster->name(),
                    'say' => $steps === null ? null : $adjuster->say($steps),
                    'body' => $steps === null
                        ? null
                        : ['adjuster' => $id, $adjuster->counting()->unit->field() => $steps->toFloat()],
                ];
            }
        }

        return $way;
    }

    /** @return array<string, float|null>|null */
    private static function band(?SpecBand $band): ?array
    {
        return $band === null ? null : ['low_mm' => $band->low, 'high_mm' => $band->high];
    }

    /** @return array<string, string> */
    private static function person(Person $person): array
    {
        return ['id' => $person->id, 'name' => $person->name, 'role' => $person->role->value];
    }

    private static function word(Verdict $verdict): string
    {
        return lcfirst(str_replace('Outside: ', '', $verdict->sentence));
    }
}
