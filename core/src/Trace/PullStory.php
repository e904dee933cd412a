<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

use VividPull\Core\Quantity\Figure;

/** What the pulls of one control tell together, from job to job. */
final readonly class PullStory
{
    /**
     * @param  list<TraceSummary>  $pulls  oldest first, measured at the same places
     * @return string|null null where there is nothing to hold the last against
     */
    public static function of(array $pulls): ?string
    {
        $told = array_values(array_filter($pulls, static fn (TraceSummary $one): bool => $one->efficiency !== null));
        if (count($told) < 2) {
            return null;
        }
        [$first, $last] = [$told[0], $told[count($told) - 1]];
        $more = (float) $first->efficiency - (float) $last->efficiency;
        $shares = implode(', ', array_map(static fn (TraceSummary $one): string => "{$one->lost()} %", $told));

        return match (true) {
            $more >= TraceChange::EFFICIENCY => "Friction takes more of each pull: {$shares}. The cable runs dry, or it frays: oil it, and pull it again.",
            $more <= -TraceChange::EFFICIENCY => "Friction takes less than it did: {$shares}.",
            default => "Friction takes the same of each pull: {$shares}.",
        }.self::weight($first, $last);
    }

    private static function weight(TraceSummary $first, TraceSummary $last): string
    {
        $more = $last->heaviestN / max($first->heaviestN, 1e-9) - 1.0;

        return abs($more) < TraceChange::HEAVIEST
            ? ''
            : ' It pulls with '.Figure::force($last->heaviestN).' at most, and did with '
                .Figure::force($first->heaviestN).'.';
    }
}
