<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Pulls;
use VividPull\Core\Cable\Sense;
use VividPull\Core\Cable\ThreadedAdjuster;
use VividPull\Core\Family\Families;
use VividPull\Core\Planning\DriftAhead;
use VividPull\Core\Procedure\Guide;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;

/**
 * The adjusters of a run: how each is counted, where it stands, what room it has, what was done with it.
 *
 * @phpstan-type AdjusterShape array{
 *     id: string,
 *     name: string,
 *     kind: value-of<AdjusterKind>,
 *     kind_label: string,
 *     thread: string|null,
 *     sense: value-of<Sense>,
 *     travel_mm: float,
 *     healthy_from_mm: float,
 *     healthy_to_mm: float,
 *     at_mm: float|null,
 *     home_mm: float|null,
 *     touched: bool,
 *     locked: bool,
 *     healthy: bool,
 *     cover: string|null,
 *     cover_off: bool,
 *     minutes: float,
 *     tools: string,
 *     lock: string|null,
 *     lock_torque_nm: float|null,
 *     sets: value-of<AdjustedQuantity>,
 *     // Conduit moved, or wire pulled, by one of its units; 0 where it moves none.
 *     mm_per_unit: float,
 *     unit: value-of<StepUnit>,
 *     units: string,
 *     // Typed behind a number on the bench line.
 *     letters: string,
 *     outward: string,
 *     inward: string,
 *     // The rungs, holes or teeth there are; empty where it moves without steps.
 *     places: list<float>,
 *     at_say: string|null,
 *     room_say: string|null,
 *     caution: string|null,
 *     guide: list<array{
 *         key: string,
 *         label: string,
 *         caution: string|null,
 *     }>,
 *     guide_done: int,
 *     home_say: string|null,
 *     pulls: value-of<Pulls>,
 *     // The cable it sits on.
 *     cable: string,
 *     // The way in which that room is left.
 *     room_way: string,
 * }
 */
final readonly class AdjusterCodec
{
    private function __construct(private BenchState $state) {}

    /** @return list<AdjusterShape> */
    public static function all(BenchState $state): array
    {
        return array_map((new self($state))->one(...), array_values($state->run->adjusters()));
    }

    /** @return AdjusterShape */
    private function one(Adjuster $adjuster): array
    {
        $counting = $adjuster->counting();
        $adjusters = $this->state->facts->adjusters;
        [$id, $at, $home] = [$adjuster->id(), $adjusters->at($adjuster), $adjusters->homeOf($adjuster)];
        $shows = static fn (Steps $position): float => $adjuster->showing($position->minus($adjuster->travel()->from));
        $where = static fn (?Steps $position): ?string => $position === null ? null : $adjuster->where($position);
        $isOutward = $this->goesOutward($adjuster);

        return [
            'id' => $id, 'name' => $adjuster->name(),
            'kind' => $adjuster->kind()->value, 'kind_label' => $adjuster->kind()->label(),
            'sets' => $adjuster->kind()->sets()->value,
            'cable' => $this->state->run->cableOf($id)->id ?? '',
            'pulls' => ($this->state->run->cableOf($id)->pulls ?? Pulls::Opening)->value,
            'thread' => $adjuster instanceof ThreadedAdjuster ? $adjuster->pitch->name : null,
            'mm_per_unit' => abs($adjuster->slackGiven($counting->each)),
            'unit' => $counting->unit->value, 'units' => $counting->unit->plural(),
            'letters' => $counting->unit->letters(),
            'outward' => $adjuster->ways()->outward, 'inward' => $adjuster->ways()->inward,
            'sense' => $adjuster->sense()->value,
            'travel_mm' => $shows($adjuster->travel()->to),
            'places' => $this->places($adjuster),
            'healthy_from_mm' => $shows($adjuster->healthy()->from),
            'healthy_to_mm' => $shows($adjuster->healthy()->to),
            'at_mm' => $at === null ? null : $shows($at), 'at_say' => $where($at),
            'room_say' => $at === null ? null : $adjuster->room(self::roomLeft($adjuster, $at, $isOutward)),
            'room_way' => $isOutward ? $adjuster->ways()->outward : $adjuster->ways()->inward,
            'home_say' => $where($home), 'home_mm' => $home === null ? null : $shows($home),
            'caution' => $adjuster->kind()->caution(),
            'guide' => self::guide($adjuster), 'guide_done' => count($adjusters->guides[$id] ?? []),
            'touched' => isset($adjusters->touched[$id]), 'locked' => isset($adjusters->locked[$id]),
            'healthy' => $at === null || $adjuster->healthy()->contains($at),
            'cover' => $adjuster->access()->cover, 'cover_off' => isset($adjusters->coversOff[$id]),
            'minutes' => $adjuster->access()->minutes, 'tools' => $adjuster->access()->tools,
            'lock' => $adjuster->lock(), 'lock_torque_nm' => $adjuster->lockTorqueNm(),
        ];
    }

    private static function roomLeft(Adjuster $adjuster, Steps $at, bool $isOutward): Steps
    {
        return $isOutward ? $adjuster->travel()->to->minus($at) : $at->minus($adjuster->travel()->from);
    }

    /** @return list<array{key: string, label: string, caution: string|null}> */
    private static function guide(Adjuster $adjuster): array
    {
        return array_map(static fn (GuideStep $step): array => [
            'key' => $step->key,
            'label' => $step->label,
            'caution' => $step->caution,
        ], Guide::of($adjuster->kind()));
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

    /** @return list<float> the rungs, holes or teeth there are, from the first */
    private function places(Adjuster $adjuster): array
    {
        if ($adjuster instanceof ThreadedAdjuster || ! $adjuster->counting()->unit->isWhole()) {
            return [];
        }

        return array_map(
            static fn (int $count): float => $count / Steps::PER_TURN,
            range($adjuster->travel()->from->count, $adjuster->travel()->to->count, $adjuster->smallestStep()->count),
        );
    }
}
