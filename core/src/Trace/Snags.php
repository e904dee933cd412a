<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/**
 * Places where the force jumps up and comes back: a strand that catches, a kink, grit in the conduit.
 *
 * A force that only grows is its own running median, knots and all; what stands out of the median is no part of any
 * straight piece (Tukey, *Exploratory Data Analysis*, 1977, chapter 7 [memory]). The bounds are ours.
 */
final readonly class Snags
{
    /** Cells on each side of the running median: on a lever of 60 mm together 3.4 mm. */
    private const HALF = 8;

    /** A cell stands out by this many deviations of the others. */
    private const STANDS_OUT = 6.0;

    /** ... and by as much of the heaviest pull, */
    private const SHARE = 0.03;

    /** ... and by so many N. */
    private const LEAST = 1.0;

    /**
     * @param  list<Snag>  $found
     * @param  list<array{float, float}>  $stretches  the travel that each takes up, in mm
     */
    private function __construct(public array $found, public array $stretches) {}

    /** With their travel as it was measured; who reports them counts it from rest. */
    public static function in(Cells $cells): self
    {
        if ($cells->count() < 4 * self::HALF) {
            // So few points were typed: each may be a knot.
            return new self([], []);
        }
        $over = self::overMedian($cells->y);
        $bound = max(self::STANDS_OUT * self::deviation($over), self::SHARE * max(0.0, ...$cells->y), self::LEAST);
        $out = array_keys(array_filter($over, static fn (float $one): bool => abs($one) > $bound));
        [$found, $stretches] = [[], []];
        foreach (self::runs($out) as [$from, $to]) {
            $heights = array_slice($over, $from, $to - $from + 1);
            [$up, $down] = [max(0.0, ...$heights), min(0.0, ...$heights)];
            $found[] = new Snag(0.5 * ($cells->at($from) + $cells->at($to)), $up >= -$down ? $up : $down);
            $stretches[] = [$cells->at(max(0, $from - 1)), $cells->at(min($cells->count() - 1, $to + 1))];
        }

        return new self($found, $stretches);
    }

    /**
     * @param  list<float>  $forces
     * @return list<float> each less the median of those about it
     */
    private static function overMedian(array $forces): array
    {
        $last = count($forces) - 1;
        $over = [];
        foreach ($forces as $place => $force) {
            $half = min(self::HALF, $place, $last - $place);
            $window = array_slice($forces, $place - $half, 2 * $half + 1);
            sort($window);
            $over[] = $force - $window[$half];
        }

        return $over;
    }

    /** @param  list<float>  $over */
    private static function deviation(array $over): float
    {
        $sizes = array_map(abs(...), $over);
        sort($sizes);

        // The quartile above the middle: more than half of a curve without noise stands on its median.
        return $sizes[(int) (0.75 * (count($sizes) - 1))] / 1.15;
    }

    /**
     * @param  list<int>  $places
     * @return list<array{int, int}>
     */
    private static function runs(array $places): array
    {
        [$runs, $open] = [[], null];
        foreach ($places as $place) {
            if ($open !== null && $place - $open[1] > 3) {
                $runs[] = $open;
                $open = null;
            }
            $open = [$open[0] ?? $place, $place];
        }

        return $open === null ? $runs : [...$runs, $open];
    }
}
