<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Spec\SettingMode;

/**
 * The best positions of all adjusters at once: within the window of shifts the cheapest, among those the nearest to the
 * target, then the least turning. Where no plan is sure, one adjuster is turned and the reading after it tells more:
 * the cheapest of those that come to four fifths of the best chance, or of all that lead towards the band where even
 * the best has less than an even chance. Only where none of them leads there do several share.
 *
 * The chance depends on the total shift alone, so that the window is found first. Places of an adjuster that cost alike
 * are put together; every combination of such ranges whose shifts can meet the window is costed, and only within the
 * cheapest are single places tried. Checked against trying all positions one by one.
 */
final readonly class PlanSearch
{
    private const EPSILON = 1e-7;

    /** A plan that is no likelier than this is a step on the way (ours). */
    public const EVEN = 0.5;

    /** @param  array<string, PositionOptions>  $optionsOf */
    public function __construct(private ShiftWindow $window, private array $optionsOf, private SettingMode $mode) {}

    /** @return list<CandidatePlan> the best, and behind it the best that turns other adjusters, where there is one */
    public function best(): array
    {
        if (array_filter(
            $this->optionsOf,
            static fn (PositionOptions $options): bool => $options->ranges === [],
        ) !== []) {
            return [];
        }
        $peak = $this->window->peak();
        $sure = $this->window->does($peak, ShiftWindow::SURE) ? $this->within($peak, ShiftWindow::SURE) : [];

        return match (true) {
            $sure !== [] => $sure,
            count($this->optionsOf) === 1 => $this->nearBest($peak),
            default => $this->alone($peak) ?? $this->nearBest($peak),
        };
    }

    /** @return list<CandidatePlan> the best of those that may turn several, sure or not */
    public function together(): array
    {
        if (array_filter(
            $this->optionsOf,
            static fn (PositionOptions $options): bool => $options->ranges === [],
        ) !== []) {
            return [];
        }
        $peak = $this->window->peak();
        $sure = $this->window->does($peak, ShiftWindow::SURE) ? $this->within($peak, ShiftWindow::SURE) : [];

        return $sure === [] ? $this->nearBest($peak) : $sure;
    }

    /** @return non-empty-list<CandidatePlan>|null plans that turn one adjuster, the others left where they are */
    private function alone(float $peak): ?array
    {
        $plans = [];
        $most = 0.0;
        foreach (array_keys($this->optionsOf) as $id) {
            $optionsOf = array_map(
                fn (PositionOptions $options): PositionOptions => $options === $this->optionsOf[$id]
                    ? $options
                    : $options->still(),
                $this->optionsOf,
            );
            $plan = array_filter(
                $optionsOf,
                static fn (PositionOptions $options): bool => $options->ranges === [],
            ) === []
                ? (new self($this->window, $optionsOf, $this->mode))->nearBest($peak)[0] ?? null : null;
            if ($plan !== null) {
                $plans[] = $plan;
                $most = max($most, $this->window->chance($plan->shift));
            }
        }
        $least = $most < self::EVEN ? 0.0 : ShiftWindow::SHARE_OF_BEST * $most;
        $good = array_values(array_filter(
            $plans,
            fn (CandidatePlan $plan): bool => $this->window->chance($plan->shift) >= $least,
        ));
        usort($good, fn (CandidatePlan $a, CandidatePlan $b): int => $this->isBetter($a, $b) ? -1 : 1);

        return $good === [] ? null : array_slice($good, 0, 2);
    }

    /** @return list<CandidatePlan> */
    private function nearBest(float $peak): array
    {
        $best = 0.0;
        foreach ($this->nearestTo($peak) as $shift) {
            $best = $this->window->allows($shift) ? max($best, $this->window->chance($shift)) : $best;
        }

        return $best < ShiftWindow::LEAST
            ? []
            : $this->within($peak, ShiftWindow::nearBest($best), $this->window->worthRange($best));
    }

    /**
     * @param  array{float, float}  $worth
     * @return list<CandidatePlan>
     */
    private function within(float $peak, float $chance, array $worth = [-INF, INF]): array
    {
        [$from, $to] = $this->window->about($peak, $chance);
        [$from, $to] = [max($from, $worth[0]), min($to, $worth[1])];
        $combinations = $this->combinations($from, $to);
        usort(
            $combinations,
            static fn (RangeCombination $a, RangeCombination $b): int => $a->cost->rank <=> $b->cost->rank,
        );
        $first = null;
        $other = null;
        foreach ($combinations as $combination) {
            if ($first !== null && $other !== null && $combination->cost->rank > $other->cost->rank) {
                break;
            }
            if (
                $first !== null
                && $combination->cost->rank > $first->cost->rank
                && $combination->touches(array_keys($this->optionsOf)) === array_keys($first->counts)
            ) {
                continue;
            }
            $plan = $this->settled($combination, $from, $to, $chance);
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

    private function isBetter(CandidatePlan $one, CandidatePlan $other): bool
    {
        return $one->cost->rank < $other->cost->rank
            || ($one->cost->rank === $other->cost->rank
                && $this
                    ->rank($one->shift, $this->turning($one->counts)) < $this
                    ->rank($other->shift, $this->turning($other->counts)));
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
            $turning += abs($this->optionsOf[$id]->slack * $count / $this->optionsOf[$id]->step);
        }

        return $turning;
    }

    /** The best single places of a combination; an edge of the window that proves a hair too wide is drawn in. */
    private function settled(RangeCombination $combination, float $from, float $to, float $chance): ?CandidatePlan
    {
        for ($tries = 0; $tries < 40; $tries++) {
            $places = (new RangeCombinationSearch(
                $this->window,
                array_values($this->optionsOf),
                $combination,
            ))->nearest($from, $to);
            if ($places === null) {
                return null;
            }
            [$steps, $shift] = $places;
            if (
                $this->window->does($shift, $chance)
                && ($chance >= ShiftWindow::SURE || $this->window->isWorth($shift))
            ) {
                return $this->positions($steps, $shift, $combination->cost);
            }
            $shift < ($from + $to) / 2 ? $from = $shift + self::EPSILON : $to = $shift - self::EPSILON;
        }

        return null;
    }

    /** @param  array<int, int>  $steps */
    private function positions(array $steps, float $shift, PlanCost $cost): CandidatePlan
    {
        $counts = [];
        foreach (array_keys($this->optionsOf) as $place => $id) {
            if ($steps[$place] !== 0) {
                $counts[$id] = $steps[$place] * $this->optionsOf[$id]->step;
            }
        }

        return new CandidatePlan($counts, $shift, $cost);
    }

    /**
     * @return list<RangeCombination> every choice of one range an adjuster whose shifts can lie in the window; staying
     *     put is no plan
     */
    private function combinations(float $from, float $to): array
    {
        $combinations = [[[], 0.0, 0.0]];
        foreach (array_values($this->optionsOf) as $options) {
            $next = [];
            foreach ($combinations as [$chosen, $low, $high]) {
                foreach ($options->ranges as $range) {
                    [$a, $b] = [$options->slack * $range->from, $options->slack * $range->to];
                    $next[] = [[...$chosen, $range], $low + min($a, $b), $high + max($a, $b)];
                }
            }
            $combinations = $next;
        }
        $kept = [];
        foreach ($combinations as [$chosen, $low, $high]) {
            $touched = array_filter($chosen, static fn (EqualCostRange $range): bool => $range->touched === 1);
            if ($low <= $to && $high >= $from && $touched !== []) {
                $kept[] = new RangeCombination($chosen, PlanCost::of($this->mode, $chosen, $this->minutes($chosen)));
            }
        }

        return $kept;
    }

    /**
     * Minutes to reach what is touched; one cover over two adjusters comes off once.
     *
     * @param  list<EqualCostRange>  $chosen
     */
    private function minutes(array $chosen): float
    {
        $minutes = [];
        foreach (array_values($this->optionsOf) as $place => $options) {
            $key = $options->adjuster->access()->cover ?? $options->adjuster->id();
            $minutes[$key] = max($minutes[$key] ?? 0.0, $chosen[$place]->minutes);
        }

        return array_sum($minutes);
    }

    /** @return list<float> the shifts within reach that lie next to this one on either side; staying put is none */
    private function nearestTo(float $shift): array
    {
        $optionsOf = array_values($this->optionsOf);
        $all = array_map(static fn (PositionOptions $options): EqualCostRange => $options->whole(), $optionsOf);
        $search = new RangeCombinationSearch(
            $this->window,
            $optionsOf,
            new RangeCombination($all, PlanCost::of($this->mode, $all, 0.0)),
        );

        return array_values(array_filter(
            [$search->nearestBelow($shift), $search->nearestAbove($shift)],
            is_float(...),
        ));
    }
}
