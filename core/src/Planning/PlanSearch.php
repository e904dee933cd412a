<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Spec\SettingMode;

/**
 * The best positions of all adjusters at once: within the window of shifts the cheapest, among those the nearest to the
 * target, then the least turning. Where no plan is sure, one adjuster is turned and the reading after it tells more: the
 * cheapest of those that come to four fifths of the best chance, or of all that lead towards the band where even the best
 * has less than an even chance. Only where none of them leads there do several share.
 *
 * The chance depends on the total shift alone, so that the window is found first. Places of an adjuster that cost alike
 * are put together; every mix of such stretches whose shifts can meet the window is costed, and only within the cheapest
 * are single places tried. Checked against trying all positions one by one.
 */
final readonly class PlanSearch
{
    private const EPSILON = 1e-7;

    /** A plan that is no likelier than this is a step on the way (ours). */
    public const EVEN = 0.5;

    /** @param  array<string, Rail>  $rails */
    public function __construct(private ShiftWindow $window, private array $rails, private SettingMode $mode) {}

    /** @return list<Positions> the best, and behind it the best that turns other adjusters, where there is one */
    public function best(): array
    {
        if (array_filter($this->rails, static fn (Rail $rail): bool => $rail->stretches === []) !== []) {
            return [];
        }
        $peak = $this->window->peak();
        $sure = $this->window->does($peak, ShiftWindow::SURE) ? $this->within($peak, ShiftWindow::SURE) : [];

        return match (true) {
            $sure !== [] => $sure,
            count($this->rails) === 1 => $this->nearBest($peak),
            default => $this->alone($peak) ?? $this->nearBest($peak),
        };
    }

    /** @return list<Positions> the best of those that may turn several, sure or not */
    public function together(): array
    {
        if (array_filter($this->rails, static fn (Rail $rail): bool => $rail->stretches === []) !== []) {
            return [];
        }
        $peak = $this->window->peak();
        $sure = $this->window->does($peak, ShiftWindow::SURE) ? $this->within($peak, ShiftWindow::SURE) : [];

        return $sure === [] ? $this->nearBest($peak) : $sure;
    }

    /** @return non-empty-list<Positions>|null plans that turn one adjuster, the others left where they are */
    private function alone(float $peak): ?array
    {
        $plans = [];
        $most = 0.0;
        foreach (array_keys($this->rails) as $id) {
            $rails = array_map(fn (Rail $rail): Rail => $rail === $this->rails[$id] ? $rail : $rail->still(), $this->rails);
            $plan = array_filter($rails, static fn (Rail $rail): bool => $rail->stretches === []) === []
                ? (new self($this->window, $rails, $this->mode))->nearBest($peak)[0] ?? null : null;
            if ($plan !== null) {
                $plans[] = $plan;
                $most = max($most, $this->window->chance($plan->shift));
            }
        }
        $least = $most < self::EVEN ? 0.0 : ShiftWindow::SHARE_OF_BEST * $most;
        $good = array_values(array_filter($plans, fn (Positions $plan): bool => $this->window->chance($plan->shift) >= $least));
        usort($good, fn (Positions $a, Positions $b): int => $this->isBetter($a, $b) ? -1 : 1);

        return $good === [] ? null : array_slice($good, 0, 2);
    }

    /** @return list<Positions> */
    private function nearBest(float $peak): array
    {
        $best = 0.0;
        foreach ($this->nearestTo($peak) as $shift) {
            $best = $this->window->allows($shift) ? max($best, $this->window->chance($shift)) : $best;
        }

        return $best < ShiftWindow::LEAST ? [] : $this->within($peak, ShiftWindow::nearBest($best), $this->window->worthRange($best));
    }

    /**
     * @param  array{float, float}  $worth
     * @return list<Positions>
     */
    private function within(float $peak, float $chance, array $worth = [-INF, INF]): array
    {
        [$from, $to] = $this->window->about($peak, $chance);
        [$from, $to] = [max($from, $worth[0]), min($to, $worth[1])];
        $mixes = $this->mixes($from, $to);
        usort($mixes, static fn (Mix $a, Mix $b): int => $a->cost->rank <=> $b->cost->rank);
        $first = null;
        $other = null;
        foreach ($mixes as $mix) {
            if ($first !== null && $other !== null && $mix->cost->rank > $other->cost->rank) {
                break;
            }
            if ($first !== null && $mix->cost->rank > $first->cost->rank && $mix->touches(array_keys($this->rails)) === array_keys($first->counts)) {
                continue;
            }
            $plan = $this->settled($mix, $from, $to, $chance);
            if ($plan === null) {
                continue;
            }
            if ($first === null || $this->isBetter($plan, $first)) {
                $other = $first !== null && ! $plan->touchesLike($first) ? $first : $other;
                $first = $plan;
            } elseif (! $plan->touchesLike($first) && ($other === null || $this->isBetter($plan, $other))) {
                $other = $plan;
            }
        }

        return array_values(array_filter([$first, $other]));
    }

    private function isBetter(Positions $one, Positions $other): bool
    {
        return $one->cost->rank < $other->cost->rank || ($one->cost->rank === $other->cost->rank && $this->rank($one->shift, $this->turning($one->counts)) < $this->rank($other->shift, $this->turning($other->counts)));
    }

    /** @return array{float, float} rounded, so that two ways of adding up the same shift come out alike */
    private function rank(float $shift, float $turning): array
    {
        return [round($this->window->distance($shift), 6), round($turning, 6)];
    }

    /** @param  array<string, int>  $counts */
    private function turning(array $counts): float
    {
        $turning = 0.0;
        foreach ($counts as $id => $count) {
            $turning += abs($this->rails[$id]->slack * $count / $this->rails[$id]->step);
        }

        return $turning;
    }

    /** The best single places of a mix; an edge of the window that proves a hair too wide is drawn in. */
    private function settled(Mix $mix, float $from, float $to, float $chance): ?Positions
    {
        for ($tries = 0; $tries < 40; $tries++) {
            $places = (new MixSearch($this->window, array_values($this->rails), $mix))->nearest($from, $to);
            if ($places === null) {
                return null;
            }
            [$steps, $shift] = $places;
            if ($this->window->does($shift, $chance) && ($chance >= ShiftWindow::SURE || $this->window->isWorth($shift))) {
                return $this->positions($steps, $shift, $mix->cost);
            }
            $shift < ($from + $to) / 2 ? $from = $shift + self::EPSILON : $to = $shift - self::EPSILON;
        }

        return null;
    }

    /** @param  array<int, int>  $steps */
    private function positions(array $steps, float $shift, PlanCost $cost): Positions
    {
        $counts = [];
        foreach (array_keys($this->rails) as $place => $id) {
            if ($steps[$place] !== 0) {
                $counts[$id] = $steps[$place] * $this->rails[$id]->step;
            }
        }

        return new Positions($counts, $shift, $cost);
    }

    /** @return list<Mix> every choice of one stretch an adjuster whose shifts can lie in the window; staying put is no plan */
    private function mixes(float $from, float $to): array
    {
        $mixes = [[[], 0.0, 0.0]];
        foreach (array_values($this->rails) as $rail) {
            $next = [];
            foreach ($mixes as [$chosen, $low, $high]) {
                foreach ($rail->stretches as $stretch) {
                    [$a, $b] = [$rail->slack * $stretch->from, $rail->slack * $stretch->to];
                    $next[] = [[...$chosen, $stretch], $low + min($a, $b), $high + max($a, $b)];
                }
            }
            $mixes = $next;
        }
        $kept = [];
        foreach ($mixes as [$chosen, $low, $high]) {
            $touched = array_filter($chosen, static fn (Stretch $stretch): bool => $stretch->touched === 1);
            if ($low <= $to && $high >= $from && $touched !== []) {
                $kept[] = new Mix($chosen, PlanCost::of($this->mode, $chosen, $this->minutes($chosen)));
            }
        }

        return $kept;
    }

    /**
     * Minutes to reach what is touched; one cover over two adjusters comes off once.
     *
     * @param  list<Stretch>  $chosen
     */
    private function minutes(array $chosen): float
    {
        $minutes = [];
        foreach (array_values($this->rails) as $place => $rail) {
            $key = $rail->adjuster->access()->cover ?? $rail->adjuster->id();
            $minutes[$key] = max($minutes[$key] ?? 0.0, $chosen[$place]->minutes);
        }

        return array_sum($minutes);
    }

    /** @return list<float> the shifts within reach that lie next to this one on either side; staying put is none */
    private function nearestTo(float $shift): array
    {
        $rails = array_values($this->rails);
        $all = array_map(static fn (Rail $rail): Stretch => $rail->whole(), $rails);
        $search = new MixSearch($this->window, $rails, new Mix($all, PlanCost::of($this->mode, $all, 0.0)));

        return array_values(array_filter([$search->nearestBelow($shift), $search->nearestAbove($shift)], is_float(...)));
    }
}
