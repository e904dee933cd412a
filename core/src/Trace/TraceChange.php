<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

use VividPull\Core\Quantity\Figure;

/** What is other than in an earlier trace of the same control, measured at the same points. */
final readonly class TraceChange
{
    /**
     * The share that arrives differs by so much before it is said (ours); a second measurement of one cable differs by
     * less.
     */
    public const EFFICIENCY = 0.04;

    /** ... and the heaviest by this share. */
    public const HEAVIEST = 0.1;

    /** @return list<string> in sentences; one that says so where nothing changed */
    public static function between(TraceSummary $before, TraceSummary $now): array
    {
        $said = array_values(array_filter(
            [self::play($before, $now), self::efficiency($before, $now), self::heaviest($before, $now)],
            is_string(...),
        ));

        return $said === [] ? ['Nothing in it differs by more than two pulls of one cable do.'] : $said;
    }

    private static function play(TraceSummary $before, TraceSummary $now): ?string
    {
        if ($before->playMm === null || $now->playMm === null) {
            return null;
        }
        $more = $now->playMm - $before->playMm;

        return abs($more) <= hypot($before->playUMm ?? 0.0, $now->playUMm ?? 0.0) ? null
            : 'Free play is '.Figure::length(abs($more)).($more > 0.0 ? ' more' : ' less').' than it was.';
    }

    private static function efficiency(TraceSummary $before, TraceSummary $now): ?string
    {
        if (
            $before->efficiency === null
            || $now->efficiency === null
            || abs($now->efficiency - $before->efficiency) < self::EFFICIENCY
        ) {
            return null;
        }
        [$lost, $was] = [$now->lost(), $before->lost()];

        return "Friction takes {$lost} % of the pull, and took {$was} %."
            .($lost > $was ? ' It runs drier, or it is bent or frayed.' : '');
    }

    private static function heaviest(TraceSummary $before, TraceSummary $now): ?string
    {
        $more = $now->heaviestN / max($before->heaviestN, 1e-9) - 1.0;

        return abs($more) < self::HEAVIEST
            ? null
            : 'It pulls '.(int) round(100 * abs($more)).' % '.($more > 0.0 ? 'heavier' : 'lighter').' than it did.';
    }
}
