<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Judging\InstrumentCapability;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Planning\ChosenMode;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\Torque;
use VividPull\Core\Spec\Wheels;

/**
 * What the job is judged by, and the instruments on its shelf.
 *
 * @phpstan-import-type BandShape from JudgedCodec
 *
 * @phpstan-type InstrumentShape array<string, mixed>
 * @phpstan-type JobSpecShape array{
 *     point: value-of<ReadingPoint>|null,
 *     point_label: string|null,
 *     how_to_read: string|null,
 *     band: BandShape,
 *     say: string,
 *     engine: value-of<EngineHeat>|null,
 *     wheels: value-of<Wheels>|null,
 *     poses: list<array{
 *         key: value-of<Pose>,
 *         label: string,
 *     }>,
 *     policy: value-of<Policy>,
 *     policy_label: string,
 *     rule: value-of<DecisionRule>,
 *     source: string,
 *     entered_by: string|null,
 *     checked_by: string|null,
 *     points: list<PlaceToReadShape>,
 *     mode: value-of<SettingMode>,
 *     parking: value-of<Parking>,
 *     like: string|null,
 *     torques: list<array{
 *         what: string,
 *         nm: float,
 *     }>,
 *     // Whether the rider's wish is aimed for.
 *     aims_wish: bool,
 * }
 * @phpstan-type PlaceToReadShape array{
 *     key: value-of<ReadingPoint>,
 *     label: string,
 *     how_to_read: string,
 * }
 */
final readonly class JobSpecCodec
{
    private function __construct(private BenchState $state) {}

    /** @return JobSpecShape */
    public static function of(BenchState $state): array
    {
        return (new self($state))->spec();
    }

    /** @return list<InstrumentShape> the instruments, each with how often it must read to decide this band */
    public static function shelf(BenchState $state): array
    {
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

    /** @return JobSpecShape */
    private function spec(): array
    {
        $spec = $this->state->spec;
        $policy = $this->state->facts->chosen->policy ?? $spec->policy;

        return [
            'point' => $spec->aim?->point->value,
            'points' => $this->points(),
            'point_label' => $spec->aim === null ? null : $spec->pointName($spec->aim->point),
            'how_to_read' => $spec->aim === null ? null : $spec->howToRead($spec->aim->point),
            'band' => JudgedCodec::band($spec->aim?->band) ?? ['low_mm' => null, 'high_mm' => null],
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

    /** @return list<PlaceToReadShape> where play can be read on this control, the spec's own place first */
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
}
