<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

/**
 * Single places within one combination of ranges: all adjusters but the last are tried place by place, and the last is
 * worked out. Plain loops over plain numbers, since this is walked thousands of times for one answer.
 */
final class RangeCombinationSearch
{
    /** @var list<float> slack of one step, by adjuster */
    private array $slack = [];

    /** @var list<int> */
    private array $least = [];

    /** @var list<int> */
    private array $most = [];

    /** @var array<int, float> the least and most slack that the adjusters from here on can give together */
    private array $lowFrom = [];

    /** @var array<int, float> */
    private array $highFrom = [];

    private readonly int $last;

    /** @var array<int, int> the places being tried */
    private array $trying = [];

    /** @var array<int, int>|null */
    private ?array $found = null;

    private float $shift = 0.0;

    private float $distance = INF;

    private float $turning = INF;

    /** @param  list<PositionOptions>  $optionsOf */
    public function __construct(private readonly ShiftWindow $window, array $optionsOf, RangeCombination $combination)
    {
        $this->last = count($optionsOf) - 1;
        foreach ($optionsOf as $place => $options) {
            $this->slack[] = $options->slack;
            $this->least[] = $combination->ranges[$place]->from;
            $this->most[] = $combination->ranges[$place]->to;
            $this->trying[] = 0;
        }
        [$low, $high] = [0.0, 0.0];
        for ($place = $this->last; $place >= 0; $place--) {
            [$a, $b] = [$this->slack[$place] * $this->least[$place], $this->slack[$place] * $this->most[$place]];
            $this->lowFrom[$place] = $low += min($a, $b);
            $this->highFrom[$place] = $high += max($a, $b);
        }
    }

    /**
     * The places whose shift lies in the window nearest to its target, then with the least turning.
     *
     * @return array{array<int, int>, float}|null
     */
    public function nearest(float $from, float $to): ?array
    {
        return $this->aimingAt($this->window->aim(), $from, $to);
    }

    public function nearestBelow(float $shift): ?float
    {
        return $this->aimingAt($shift, -INF, $shift)[1] ?? null;
    }

    public function nearestAbove(float $shift): ?float
    {
        return $this->aimingAt($shift, $shift, INF)[1] ?? null;
    }

    /** @return array{array<int, int>, float}|null */
    private function aimingAt(float $aim, float $from, float $to): ?array
    {
        [$this->found, $this->distance, $this->turning] = [null, INF, INF];
        $this->walk(0, 0.0, 0.0, $aim, $from, $to);

        return $this->found === null ? null : [$this->found, $this->shift];
    }

    private function walk(int $place, float $shift, float $turning, float $aim, float $from, float $to): void
    {
        if ($place === $this->last) {
            $this->workOut($shift, $turning, $aim, $from, $to);

            return;
        }
        for ($n = $this->least[$place]; $n <= $this->most[$place]; $n++) {
            $slack = $this->slack[$place] * $n;
            $here = $shift + $slack;
            if ($here + $this->lowFrom[$place + 1] > $to || $here + $this->highFrom[$place + 1] < $from) {
                continue;
            }
            $this->trying[$place] = $n;
            $this->walk($place + 1, $here, $turning + abs($slack), $aim, $from, $to);
        }
    }

    /** The places of the last adjuster next to the aim, on either side of it, that keep the total in the window. */
    private function workOut(float $shift, float $turning, float $aim, float $from, float $to): void
    {
        $slack = $this->slack[$this->last];
        $one = ($from - $shift) / $slack;
        $other = ($to - $shift) / $slack;
        $least = max((float) $this->least[$this->last], ceil(min($one, $other) - 1e-9));
        $most = min((float) $this->most[$this->last], floor(max($one, $other) + 1e-9));
        if ($turning === 0.0 && $least <= 0.0 && $most >= 0.0) {
            // With the others left alone, leaving this one alone as well would be no plan.
            $this->weighBetween($least, -1.0, $shift, $turning, $aim);
            $this->weighBetween(1.0, $most, $shift, $turning, $aim);
        } else {
            $this->weighBetween($least, $most, $shift, $turning, $aim);
        }
    }

    private function weighBetween(float $least, float $most, float $shift, float $turning, float $aim): void
    {
        if ($least > $most) {
            return;
        }
        $below = floor(($aim - $shift) / $this->slack[$this->last]);
        $this->weigh(max($least, min($most, $below)), $shift, $turning, $aim);
        if ($below < $most && $below >= $least) {
            $this->weigh($below + 1.0, $shift, $turning, $aim);
        }
    }

    /** Distances and turning are rounded, so that two ways of adding up the same come out alike. */
    private function weigh(float $n, float $shift, float $turning, float $aim): void
    {
        $slack = $this->slack[$this->last] * $n;
        $distance = round(abs($shift + $slack - $aim), 7);
        $turning = round($turning + abs($slack), 6);
        if ($distance < $this->distance || ($distance === $this->distance && $turning < $this->turning)) {
            [$this->distance, $this->turning, $this->shift] = [$distance, $turning, $shift + $slack];
            $this->trying[$this->last] = (int) $n;
            $this->found = $this->trying;
        }
    }
}
