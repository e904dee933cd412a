<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Bench\Facts;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Cable\StepRange;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\SettingMode;
use VividPull\Core\Spec\Spec;

/**
 * Plans over all adjusters of a control. A clamp of last resort is planned only when the others cannot, and then with
 * the bolts of its cable brought home first and left within a turn of it. Service does the hidden end before the one in reach.
 */
final readonly class PlanMaker
{
    private SettingMode $mode;

    public function __construct(private Spec $spec, private Run $run, private Facts $facts, private ShiftWindow $window)
    {
        $this->mode = ChosenMode::of($run, $facts);
    }

    public function plan(): ?AdjustmentPlan
    {
        $usual = $this->without();
        $plans = $usual === [] ? $this->withLastResort() : $usual;

        return $plans === [] ? null : new AdjustmentPlan(
            $this->steps($plans[0]),
            $this->mode,
            isset($plans[1]) ? ucfirst($plans[0]->cost->whyNot($plans[1]->cost)).'.' : null,
            isset($plans[1]) ? $this->said($plans[1]) : null,
        );
    }

    /** What one adjuster could do by itself; null where it cannot bring the control right. */
    public function alone(Adjuster $adjuster): ?AdjusterAdvice
    {
        $best = (new PlanSearch($this->window, [$adjuster->id() => $this->rail($adjuster, null)], SettingMode::TouchUp))->best();

        return $best === [] ? null : $this->advice($adjuster, Steps::fromCount($best[0]->counts[$adjuster->id()]), 0.0);
    }

    /** How near this adjuster alone could come, in mm at the reading point. */
    public function furthest(Adjuster $adjuster): float
    {
        $rail = $this->rail($adjuster, null);
        $best = $this->window->expected(0.0);
        foreach ($rail->stretches as $stretch) {
            foreach ([$stretch->from, $stretch->to] as $n) {
                $here = $this->window->expected($rail->slack * $n);
                $best = abs($this->window->band->beyond($here)) < abs($this->window->band->beyond($best)) ? $here : $best;
            }
        }

        return $best;
    }

    /** @return list<Positions> */
    private function without(): array
    {
        $usual = array_filter($this->run->playAdjusters(), static fn (Adjuster $adjuster): bool => ! $adjuster->kind()->isLastResort());

        return $this->search($usual, []);
    }

    /** @return list<Positions> */
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

        return $clamps === [] ? [] : $this->search($all, $homes);
    }

    /**
     * @param  array<string, Adjuster>  $adjusters
     * @param  array<string, StepRange>  $within
     * @return list<Positions>
     */
    private function search(array $adjusters, array $within): array
    {
        $rails = array_map(fn (Adjuster $adjuster): Rail => $this->rail($adjuster, $within[$adjuster->id()] ?? null), $adjusters);

        return $rails === [] ? [] : (new PlanSearch($this->window, $rails, $this->mode))->best();
    }

    private function rail(Adjuster $adjuster, ?StepRange $within): Rail
    {
        $parked = $this->mode === SettingMode::Service && $adjuster->kind()->isThreaded() && $adjuster === $this->run->inReach();

        return Rail::of(
            $adjuster,
            $this->facts->positions[$adjuster->id()] ?? null,
            isset($this->facts->coversOff[$adjuster->id()]),
            DriftAhead::of($this->facts->standing, $this->spec->family->family()->drift()),
            $parked ? ChosenMode::parking($this->facts)->of($adjuster) : null,
            $within,
        );
    }

    /** The end of an adjuster that gives the cable all its slack, and one turn or step from there. */
    private static function nearHome(Adjuster $bolt): StepRange
    {
        $travel = $bolt->travel();
        $one = min(Steps::PER_TURN, $travel->to->count - $travel->from->count);

        return $bolt->sense()->sign() > 0
            ? StepRange::between($travel->from, $travel->from->plus(Steps::fromCount($one)))
            : StepRange::between($travel->to->minus(Steps::fromCount($one)), $travel->to);
    }

    /** @return non-empty-list<AdjusterAdvice> */
    private function steps(Positions $plan): array
    {
        $order = array_reverse(array_keys($plan->counts));
        $clamps = array_filter($order, fn (string $id): bool => $this->run->adjuster($id)?->kind()->isLastResort() === true);
        $order = $clamps !== [] ? [...array_diff($order, $clamps), ...$clamps] : $this->neverTaut($order, $plan);
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
     * The hidden end first, unless that would pull the cable taut in between and the other way about would not.
     *
     * @param  list<string>  $order
     * @return list<string>
     */
    private function neverTaut(array $order, Positions $plan): array
    {
        $other = array_reverse($order);

        return $this->lowest($order, $plan) <= 0.0 && $this->lowest($other, $plan) > 0.0 ? $other : $order;
    }

    /**
     * The least play to expect on the way, in mm.
     *
     * @param  list<string>  $order
     */
    private function lowest(array $order, Positions $plan): float
    {
        [$shift, $low] = [0.0, INF];
        foreach ($order as $id) {
            $shift += $this->run->adjuster($id)?->slackGiven(Steps::fromCount($plan->counts[$id])) ?? 0.0;
            $low = min($low, $this->window->expected($shift));
        }

        return $low;
    }

    private function said(Positions $plan): string
    {
        return implode(', then ', array_map(fn (AdjusterAdvice $step): string => ($this->run->adjuster($step->adjuster)?->name() ?? '').' '
            .($step->steps === null ? '' : $this->run->adjuster($step->adjuster)?->say($step->steps)), $this->steps($plan)));
    }

    /** @param  float  $before  slack given by the steps before it */
    private function advice(Adjuster $adjuster, Steps $steps, float $before): AdjusterAdvice
    {
        return AdjusterAdvice::towards($this->window, $adjuster, $this->facts->positions[$adjuster->id()] ?? null, $steps, $before);
    }
}
