<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

/**
 * Working time of a job, from the instants of its entries: pauses longer than a quarter of an hour do not count (ours).
 */
final readonly class MinutesSpent
{
    private const LONGEST_PAUSE_S = 900.0;

    /** @param  list<float>  $instants  seconds, in any order */
    public static function of(array $instants): float
    {
        sort($instants);
        $seconds = 0.0;
        foreach (array_slice($instants, 1) as $n => $at) {
            $gap = $at - $instants[$n];
            $seconds += $gap <= self::LONGEST_PAUSE_S ? $gap : 0.0;
        }

        return $seconds / 60;
    }
}
