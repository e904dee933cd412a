<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Measurement\Repeatability;

/**
 * How well one person repeats with one instrument, over many groups of readings: sums of squares about each group's own
 * mean, with their degrees of freedom (JCGM 100:2008, 4.2.4).
 */
final readonly class Pooling
{
    /**
     * From here on a person's own history stands alone; below it, it is put together with what is usual for the kind.
     */
    private const ENOUGH = 5.0;

    /**
     * @param  list<ReadingGroup>  $groups
     * @return list<array{person: string, instrument: string, squares: float, freedom: int}>
     */
    public static function of(array $groups): array
    {
        $sums = [];
        foreach ($groups as $group) {
            // What was misread, or is still asked about, says nothing of how a hand repeats.
            $values = array_map(static fn (ReadingTaken $reading): float => $reading->mm,
                array_filter(
                    $group->readings,
                    static fn (ReadingTaken $reading): bool => ! in_array($reading, $group->leftOut, true),
                ));
            if (count($values) < 2 || $group->doubt !== null) {
                continue;
            }
            $mean = array_sum($values) / count($values);
            $key = "{$group->first()->stamp->by->id}/{$group->instrument->id}";
            $sums[$key] ??= [
                'person' => $group->first()->stamp->by->id,
                'instrument' => $group->instrument->id,
                'squares' => 0.0,
                'freedom' => 0,
            ];
            $sums[$key]['squares'] += array_sum(array_map(static fn (float $mm): float => ($mm - $mean) ** 2, $values));
            $sums[$key]['freedom'] += count($values) - 1;
        }

        return array_values($sums);
    }

    /** @param  float  $freedom  above zero */
    public static function repeatability(InstrumentKind $kind, float $squares, float $freedom): Repeatability
    {
        $own = Repeatability::pooled(sqrt($squares / $freedom), $freedom);

        return $freedom >= self::ENOUGH ? $own : Repeatability::usualFor($kind)->with($own->deviation, $freedom);
    }
}
