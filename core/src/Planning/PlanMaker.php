<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Cable\StepRange;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Families;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\Spec;

/**
 * Plans over all adjusters of a control. A clamp of last resort is planned only when the others cannot, and then with
 * the bolts of its cable brought home first and left within a turn of it. Service does the hidden end before the one in
 * reach.
 */
final class PlanMaker
{
    /**
     * Flats that are gone past, so as to come back from the other side: more than a thread or a lock is known to lose
     * (ours).
     */
    private const PAST = 3;

    /**
     * An order of steps that stays nearer to the band by more than this share of it is taken before the usual one
     * (ours).
     */
    private const NEARER = 0.5;

    /** Less is no shift at all, in mm of conduit. */
    public const NO_SHIFT = 1e-6;

    /** mm that a cable pulled taut on the way counts for beside how far it goes. */
    private const TAUT = 1000.0;

    private readonly SettingMode $mode;

    /** @var array<string, PositionOptions> over the whole travel of each adjuster, since every plan asks for them */
    private array $options = [];

    public function __construct(
        private readonly Spec $spec,
        private readonly Run $run,
        private readonly Facts $facts,
        private readonly ShiftWindow $window,
    ) {
        $this->mode = ChosenMode::of($run, $facts);
    }

    /** @param  bool  $isInside  only then may it end where it stands: away and back brings nothing inside */
    public function plan(bool $isInside = false): ?AdjustmentPlan
    {
        $usual = $this->without();
        $onTheWay = $this->onTheWay($usual[0] ?? null);
        if ($onTheWay !== null) {
            return $onTheWay;
        }
        $plans = $usual === [] ? $this->withLastResort() : $usual;
        if ($plans === []) {
            return $this->pastAndBack(null, $isInside);
        }

        return $this->pastAndBack($plans[0], $isInside) ?? new AdjustmentPlan(
            $this->steps($plans[0]),
            $this->mode,
            isset($plans[1]) ? ucfirst($plans[0]->cost->whyNot($plans[1]->cost)).'.' : null,
            isset($plans[1]) ? $this->said($plans[1]) : null,
            $plans[0]->shift,
        );
    }

    /**
     * One turn of an adjuster that nobody knows the place of, though it does not reach the band: the next reading, or
     * its stop, tells more. Where the best plan itself turns one of those, and is not even likely, what is quicker to
     * reach is turned instead; in service the hidden end comes first.
     */
    private function onTheWay(?CandidatePlan $usual): ?AdjustmentPlan
    {
        $unknown = array_filter(
            $this->run->playAdjusters(),
            fn (Adjuster $adjuster): bool => ! $adjuster->kind()->isLastResort()
                && $this->facts->adjusters->at($adjuster) === null,
        );
        $isService = $this->mode === SettingMode::Service;
        if (
            $usual !== null
            && ($isService
                || array_diff_key($usual->counts, $unknown) !== []
                || $this->window->chance($usual->shift) >= PlanSearch::EVEN)
        ) {
            return null;
        }
        $quicker = $usual === null
            ? INF
            : array_sum(array_map($this->minutes(...), array_intersect_key($unknown, $usual->counts)));
        $best = null;
        foreach ($isService ? array_reverse($unknown) : $unknown as $adjuster) {
            $steps = $this->minutes($adjuster) < $quicker ? $this->leading($adjuster) : null;
            if ($steps !== null) {
                $best = $this->advice($adjuster, $steps, 0.0);
                $quicker = $isService ? 0.0 : $this->minutes($adjuster);
            }
        }
        $adjuster = $best === null ? null : $this->run->adjuster($best->adjuster);

        return $best?->steps === null || $adjuster === null ? null
            : new AdjustmentPlan(
                [$best],
                $this->mode,
                'Where it stands is not known: one turn at a time, and read.',
                null,
                $adjuster->slackGiven($best->steps),
            );
    }

    private function minutes(Adjuster $adjuster): float
    {
        return isset($this->facts->adjusters->coversOff[$adjuster->id()]) ? 0.0 : $adjuster->access()->minutes;
    }

    /** As far as an adjuster may go towards the band; null where it cannot come nearer. */
    private function leading(Adjuster $adjuster): ?Steps
    {
        $options = $this->options($adjuster, null);
        $whole = $options->ranges === [] ? null : $options->whole();
        $off = fn (int $n): float => abs($this->window->band->beyond($this->window->expected($options->slack * $n)));
        foreach ($whole === null ? [] : [$whole->from, $whole->to] as $n) {
            if ($n !== 0 && $off($n) < $off(0) && $this->window->allows($options->slack * $n)) {
                return Steps::fromCount($n * $options->step);
            }
        }

        return null;
    }

    /**
     * Where a cable is known to read otherwise from the other side, and coming straight to the target is not sure: past
     * it and back, so that the last turn takes slack away or gives it as the last one before did.
     */
    private function pastAndBack(?CandidatePlan $straight, bool $isInside): ?AdjustmentPlan
    {
        $now = $straight === null ? 0.0 : $this->window->chance($straight->shift);
        if (
            ! $this->window->play->sides()->areKnown()
            || $now >= ShiftWindow::SURE
            || ($straight !== null && count($straight->counts) !== 1)
        ) {
            return null;
        }
        foreach ($straight === null ? $this->run->playAdjusters() : array_intersect_key(
            $this->run->playAdjusters(),
            $straight->counts,
        ) as $adjuster) {
            foreach ([$this->window->play->way(), -$this->window->play->way()] as $way) {
                $plan = $adjuster->kind()->isLastResort() || $this->facts->isSeized($adjuster)
                    ? null
                    : $this->finishing($adjuster, $way, $now);
                if ($plan !== null && ($isInside || abs($plan->shift) > self::NO_SHIFT)) {
                    return $plan;
                }
            }
        }

        return null;
    }

    /** Both for the place past it and for the place that is come back to; of one that nobody saw, as far as may be. */
    private function hasRoom(Adjuster $adjuster, ?Steps $at, Steps $past, Steps $home): bool
    {
        $room = $this->facts->adjusters->room($adjuster);

        return $at === null
            ? $room->contains($past) && $room->contains($home)
            : $adjuster->safe()->contains($at->plus($past)) && $adjuster->safe()->contains($at->plus($home));
    }

    /**
     * Past and back with one adjuster so that the last turn goes this way; null where that is no surer, or there is no
     * room.
     */
    private function finishing(Adjuster $adjuster, float $way, float $surer): ?AdjustmentPlan
    {
        $window = $this->window->finishing($way);
        $options = $this->options($adjuster, null);
        $at = $this->facts->adjusters->at($adjuster);
        // The nearest place to the target by what it reads from that side; where it stands may be it.
        $net = (int) round($window->aim() / $options->slack);
        $past = (int) max(1, round(self::PAST * Steps::PER_FLAT / $options->step));
        $back = $options->slack * $way > 0.0 ? $past : -$past;
        $there = Steps::fromCount(($net - $back) * $options->step);
        $shift = $net * $options->slack;
        if (
            $there->isNone()
            || $window->chance($shift) <= $surer
            || $window->chance($shift) < ShiftWindow::LEAST
            || ! $this->hasRoom($adjuster, $at, $there, Steps::fromCount($net * $options->step))
        ) {
            return null;
        }

        return new AdjustmentPlan([
            AdjusterAdvice::towards($this->window->finishing(-$way), $adjuster, $at, $there, 0.0),
            AdjusterAdvice::towards(
                $window,
                $adjuster,
                $at?->plus($there),
                Steps::fromCount($back * $options->step),
                $adjuster->slackGiven($there),
            ),
        ], $this->mode, 'It reads otherwise from the other side: past it and back, so that the last turn comes from the same side as before.', null, $shift, true);
    }

    /**
     * Slack that all usual adjusters together can take away, or give, in mm of conduit; what stands nobody knows where
     * counts as nothing.
     */
    public function most(bool $taking): float
    {
        $most = 0.0;
        foreach ($this->run->playAdjusters() as $adjuster) {
            $options = $this->options($adjuster, null);
            $whole = $options->ranges === [] ? null : $options->whole();
            $ends = $whole === null ? [0.0] : [$options->slack * $whole->from, $options->slack * $whole->to];
            $most += $taking ? min(0.0, ...$ends) : max(0.0, ...$ends);
        }

        return $most;
    }

    /** What one adjuster could do by itself; null where it cannot bring the control right. */
    public function alone(Adjuster $adjuster): ?AdjusterAdvice
    {
        if ($this->facts->isSeized($adjuster)) {
            return null;
        }
        $best = (new PlanSearch(
            $this->window,
            [$adjuster->id() => $this->options($adjuster, null)],
            SettingMode::TouchUp,
        ))->best();

        return $best === [] ? null : $this->advice($adjuster, Steps::fromCount($best[0]->counts[$adjuster->id()]), 0.0);
    }

    /** Whether it has a step left that gives slack (above zero) or takes it. */
    public function canGo(Adjuster $adjuster, float $shift): bool
    {
        $options = $this->options($adjuster, null);
        $whole = $options->ranges === [] ? null : $options->whole();
        $way = $options->slack * $shift;

        return $whole !== null && max($whole->from * $way, $whole->to * $way) > 0.0;
    }

    /** How near this adjuster alone could come, in mm at the reading point. */
    public function furthest(Adjuster $adjuster): float
    {
        $options = $this->options($adjuster, null);
        $best = $this->window->expected(0.0);
        foreach ($options->ranges as $range) {
            foreach ([$range->from, $range->to] as $n) {
                $here = $this->window->expected($options->slack * $n);
                $best = abs($this->window->band->beyond($here)) < abs($this->window->band->beyond($best))
                    ? $here
                    : $best;
            }
        }

        return $best;
    }

    /** @return list<CandidatePlan> */
    private function without(): array
    {
        $usual = array_filter(
            $this->run->playAdjusters(),
            static fn (Adjuster $adjuster): bool => ! $adjuster->kind()->isLastResort(),
        );

        return $this->search($usual, []);
    }

    /** @return list<CandidatePlan> */
    private function withLastResort(): array
    {
        $all = $this->run->playAdjusters();
        $clamps = array_filter($all, static fn (Adjuster $adjuster): bool => $adjuster->kind()->isLastResort());
        $homes = [];
        foreach ($clamps as $id => $clamp) {
            foreach ($this->run->cableOf($id)->adjusters ?? [] as $bolt) {
                if (isset($all[$bolt->id()]) && ! $bolt->kind()->isLastResort()) {
                    $homes[$bolt->id()] = self::nearHome($bolt);
                }
            }
        }

        if ($clamps === []) {
            return [];
        }
        $home = $this->search($all, $homes);

        // A clamp that has not wire enough for bolts fully home takes what it can: then they come home as far as it
        // reaches.
        return $home !== [] || array_diff_key($homes, array_filter($this->facts->adjusters->positions)) !== []
            ? $home
            : $this->search($all, [], true);
    }

    /**
     * @param  array<string, Adjuster>  $adjusters
     * @param  array<string, StepRange>  $within
     * @return list<CandidatePlan>
     */
    private function search(array $adjusters, array $within, bool $together = false): array
    {
        $optionsOf = array_map(
            fn (Adjuster $adjuster): PositionOptions => $this->options($adjuster, $within[$adjuster->id()] ?? null),
            $adjusters,
        );

        $search = new PlanSearch($this->window, $optionsOf, $this->mode);

        return match (true) {
            $optionsOf === [] => [],
            $together => $search->together(),
            default => $search->best(),
        };
    }

    private function options(Adjuster $adjuster, ?StepRange $within): PositionOptions
    {
        return $within === null
            ? $this->options[$adjuster->id()] ??= $this->findOptions($adjuster, null)
            : $this->findOptions($adjuster, $within);
    }

    private function findOptions(Adjuster $adjuster, ?StepRange $within): PositionOptions
    {
        $parked = $this->mode === SettingMode::Service
            && $adjuster->kind()->isThreaded()
            && $adjuster === $this->run->inReach();

        $options = PositionOptions::of(
            $adjuster,
            $this->facts->adjusters->at($adjuster),
            $this->facts->adjusters->room($adjuster),
            isset($this->facts->adjusters->coversOff[$adjuster->id()]),
            DriftAhead::of($this->facts->standing, Families::of($this->spec->family)->drift()),
            $parked ? ChosenMode::parking($this->facts)->of($adjuster) : null,
            $within,
        );

        return $this->facts->isSeized($adjuster) ? $options->still() : $options;
    }

    /** The end of an adjuster that gives the cable all its slack, and one turn or step from there. */
    private static function nearHome(Adjuster $bolt): StepRange
    {
        $travel = $bolt->safe();
        $one = Steps::fromCount(min(Steps::PER_TURN, $travel->to->count - $travel->from->count));
        $end = $bolt->sense()->slackEnd($travel);

        return $end->count === $travel->from->count
            ? StepRange::between($end, $end->plus($one))
            : StepRange::between($end->minus($one), $end);
    }

    /** @return non-empty-list<AdjusterAdvice> */
    private function steps(CandidatePlan $plan): array
    {
        $order = $this->order($plan);
        $steps = [];
        $before = 0.0;
        foreach ($order as $id) {
            $adjuster = $this->run->adjuster($id);
            if ($adjuster !== null) {
                $by = Steps::fromCount($plan->counts[$id]);
                $steps[] = $this->advice($adjuster, $by, $before);
                $before += $adjuster->slackGiven($by);
            }
        }
        assert($steps !== []);

        return $steps;
    }

    /**
     * A clamp comes after the bolts. Else the hidden end first, and among equals slack given before it is taken up;
     * unless another order keeps the cable from going taut on the way, or stays nearer to the band by much.
     *
     * @return list<string>
     */
    private function order(CandidatePlan $plan): array
    {
        $usual = array_reverse(array_keys($plan->counts));
        $clamps = array_values(array_filter(
            $usual,
            fn (string $id): bool => $this->run->adjuster($id)?->kind()->isLastResort() === true,
        ));
        if ($clamps !== []) {
            return [...array_values(array_diff($usual, $clamps)), ...$clamps];
        }
        $giving = fn (string $id): bool => ($this->run->adjuster($id)?->slackGiven(Steps::fromCount($plan->counts[$id]))
            ?? 0.0) > 0.0;
        $slackFirst = [
            ...array_values(array_filter($usual, $giving)),
            ...array_values(array_filter($usual, static fn (string $id): bool => ! $giving($id))),
        ];
        $best = $usual;
        foreach ([$slackFirst, array_reverse($usual)] as $order) {
            if ($this->astray($order, $plan) < $this->astray($best, $plan) - self::NEARER * $this->width()) {
                $best = $order;
            }
        }

        return $best;
    }

    private function width(): float
    {
        return $this->window->band->high === null ? 1.0 : $this->window->band->high - $this->window->band->floor();
    }

    /**
     * How far from the band play goes on the way, in mm; taut on the way counts as far.
     *
     * @param  list<string>  $order
     */
    private function astray(array $order, CandidatePlan $plan): float
    {
        [$shift, $most] = [0.0, 0.0];
        foreach (array_slice($order, 0, -1) as $id) {
            $shift += $this->run->adjuster($id)?->slackGiven(Steps::fromCount($plan->counts[$id])) ?? 0.0;
            $here = $this->window->expected($shift);
            $most = max($most, abs($this->window->band->beyond($here)) + ($here <= 0.0 ? self::TAUT : 0.0));
        }

        return $most;
    }

    private function said(CandidatePlan $plan): string
    {
        return implode(
            ', then ',
            array_map(
                fn (AdjusterAdvice $step): string => ($this->run->adjuster($step->adjuster)?->name() ?? '').' '
                    .($step->steps === null ? '' : $this->run->adjuster($step->adjuster)?->say($step->steps)),
                $this->steps($plan),
            ),
        );
    }

    /** @param  float  $before  slack given by the steps before it */
    private function advice(Adjuster $adjuster, Steps $steps, float $before): AdjusterAdvice
    {
        return AdjusterAdvice::towards(
            $this->window,
            $adjuster,
            $this->facts->adjusters->at($adjuster),
            $steps,
            $before,
        );
    }
}
