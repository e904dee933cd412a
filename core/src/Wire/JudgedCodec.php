<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Judging\Verdict;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Spec\SpecBand;

/**
 * What was read, how sure it is and what it is held to be; of the whole control, and pose by pose.
 *
 * @phpstan-type Day string
 * @phpstan-type BandShape array{
 *     low_mm: float|null,
 *     high_mm: float|null,
 * }
 * @phpstan-type JudgedShape array{
 *     mm: float|null,
 *     expanded_mm: float|null,
 *     standard_mm: float|null,
 *     freedom: float|null,
 *     count: int,
 *     instrument: string|null,
 *     verdict: value-of<VerdictKind>,
 *     sentence: string,
 *     advice: string|null,
 *     chance_inside: float|null,
 *     beyond_mm: float,
 *     converted_from: string|null,
 *     // The day its instrument should have been calibrated by, where it was read after that day.
 *     overdue_since: Day|null,
 *     // Readings, as typed, that do not go with the others and are not in the mean.
 *     left_out: list<string>,
 *     // What is asked about the readings before they count.
 *     doubt: string|null,
 * }
 * @phpstan-type PoseReadingShape array{
 *     pose: value-of<Pose>,
 *     label: string,
 *     mm: float|null,
 *     expanded_mm: float|null,
 *     standard_mm: float|null,
 *     freedom: float|null,
 *     count: int,
 *     instrument: string|null,
 *     verdict: value-of<VerdictKind>,
 *     sentence: string,
 *     advice: string|null,
 *     chance_inside: float|null,
 *     beyond_mm: float,
 *     offset_mm: float,
 *     offset_u_mm: float,
 *     offset_read: bool,
 *     converted_from: string|null,
 *     // The day its instrument should have been calibrated by, where it was read after that day.
 *     overdue_since: Day|null,
 *     // Readings, as typed, that do not go with the others and are not in the mean.
 *     left_out: list<string>,
 *     // What is asked about the readings before they count.
 *     doubt: string|null,
 * }
 */
final readonly class JudgedCodec
{
    private function __construct() {}

    /** @return JudgedShape what was found, before anything was moved */
    public static function asFound(BenchState $state): array
    {
        return self::of($state, $state->judgement->foundGroup, $state->judgement->found);
    }

    /** @return JudgedShape what stands now */
    public static function asItStands(BenchState $state): array
    {
        return self::of($state, $state->judgement->nowGroup, $state->judgement->now);
    }

    /** @return JudgedShape */
    private static function of(BenchState $state, ?ReadingGroup $group, Verdict $verdict): array
    {
        return [
            'mm' => $group?->found->mean,
            'expanded_mm' => $group?->found->expanded(),
            'standard_mm' => $group?->found->standard(),
            'freedom' => $group === null || is_infinite($group->found->freedom()) ? null : $group->found->freedom(),
            'count' => $group?->found->count ?? 0,
            'instrument' => $group?->instrument->name,
            'overdue_since' => $group?->overdueSince($state->log),
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

    /** @return list<PoseReadingShape> */
    public static function poses(BenchState $state): array
    {
        $poses = [];
        foreach ($state->spec->aim === null ? [] : $state->spec->conditions->poses as $pose) {
            $sweep = $state->judgement->sweep->poses[$pose->value] ?? null;
            $poses[] = ['pose' => $pose->value, 'label' => $pose->label()]
                + self::of(
                    $state,
                    $state->judgement->poseGroups[$pose->value] ?? null,
                    $state->judgement->poses[$pose->value],
                )
                + [
                    'offset_mm' => $sweep['d'] ?? 0.0,
                    'offset_u_mm' => $sweep['u'] ?? 0.0,
                    'offset_read' => $sweep['read'] ?? true,
                ];
        }

        return $poses;
    }

    /** @return ($band is null ? null : BandShape) */
    public static function band(?SpecBand $band): ?array
    {
        return $band === null ? null : ['low_mm' => $band->low, 'high_mm' => $band->high];
    }
}
