<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Cable;
use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Judging\Judging;
use VividPull\Core\Learning\Learning;
use VividPull\Core\Planning\CableMatch;
use VividPull\Core\Planning\ChosenMode;
use VividPull\Core\Planning\Planner;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/** The cable match of a job: what the old cable was found with, and what this run's adjusters can take up. */
final readonly class CableMatching
{
    private float $ratio;

    private function __construct(private Spec $spec, private Run $run, private Facts $facts, private Judgement $judgement)
    {
        // What this job's own readings taught of the ratio counts, not only what it began with.
        $this->ratio = $spec->aim === null ? 1.0 : exp(Learning::believe($spec, $run, $facts)->play->taught()->ln);
    }

    /** Null until old and new were laid side by side. */
    public static function of(Spec $spec, Run $run, Facts $facts, Judgement $judgement): ?CableMatch
    {
        $under = $facts->observations->replacing;
        if ($under?->sizes === null) {
            return null;
        }
        [$second, $ofSecond] = [$run->second(), $spec->ofSecond()];
        if ($second !== null && $ofSecond !== null && $facts->second !== null && self::isSecond($run, $under->cable)) {
            return (new self($ofSecond, $second, $facts->second, Judging::judge($ofSecond, $second, $facts->second)))->match($under->sizes);
        }

        return (new self($spec, $run, $facts, $judgement))->match($under->sizes);
    }

    /** The run whose adjusters take up the new cable: of a pair, that of the cable which is replaced. */
    public static function runOf(Run $run, ?string $cable): Run
    {
        return self::isSecond($run, $cable) ? $run->second() ?? $run : $run;
    }

    private static function isSecond(Run $run, ?string $cable): bool
    {
        return array_filter($run->cables, static fn (Cable $one): bool => $one->id === $cable && $one->pulls->isSecond()) !== [];
    }

    /**
     * Where each adjuster lands: the one in reach at its parking place, the others take the rest, the hidden end first; what they
     * cannot take comes back to the one in reach, and a clamp that notches its wire comes last of all.
     *
     * @return array<string, Steps> by adjuster
     */
    public static function landing(Run $run, Facts $facts, CableMatch $match): array
    {
        $left = $match->takeUp;
        $near = $run->inReach();
        if ($left === null || $near === null) {
            return [];
        }
        $take = array_map(static fn (): float => 0.0, $run->playAdjusters());
        foreach (self::order($run, $near, ChosenMode::parking($facts)->of($near)->from) as [$adjuster, $most]) {
            $more = min($left, max(0.0, $most - $take[$adjuster->id()]));
            $take[$adjuster->id()] += $more;
            $left -= $more;
        }
        $lands = [];
        foreach ($run->playAdjusters() as $id => $adjuster) {
            $steps = $adjuster->sense()->sign() * $take[$id] / abs($adjuster->slackGiven(Steps::of(1)));
            $lands[$id] = self::slackest($adjuster)->plus(self::countable($adjuster, $steps));
        }

        return $lands;
    }

    /** @return list<array{Adjuster, float}> each with what it takes up by then, in mm */
    private static function order(Run $run, Adjuster $near, Steps $parked): array
    {
        $others = array_values(array_filter(array_reverse($run->playAdjusters()), static fn (Adjuster $one): bool => $one->id() !== $near->id()));
        $usual = array_filter($others, static fn (Adjuster $one): bool => ! $one->kind()->isLastResort());
        $last = array_filter($others, static fn (Adjuster $one): bool => $one->kind()->isLastResort());
        $whole = static fn (Adjuster $one): array => [$one, self::takes($one)];

        return [[$near, abs($near->slackGiven($parked->minus(self::slackest($near))))], ...array_map($whole, array_values($usual)), $whole($near), ...array_map($whole, array_values($last))];
    }

    /** To the nearest step that the adjuster can be set to. */
    private static function countable(Adjuster $adjuster, float $steps): Steps
    {
        $small = $adjuster->smallestStep()->count;

        return Steps::fromCount((int) round($steps * Steps::PER_TURN / $small) * $small);
    }

    private function match(CableComparison $sizes): CableMatch
    {
        [$takes, $healthy, $series] = [0.0, 0.0, 0.0];
        foreach ($this->run->playAdjusters() as $adjuster) {
            $takes += self::takes($adjuster);
            $healthy += $adjuster->kind()->isLastResort() ? 0.0 : abs($adjuster->slackGiven(self::tightestHealthy($adjuster)->minus(self::slackest($adjuster))));
            $series = max($series, abs($adjuster->slackGiven($adjuster->usualReserve())));
        }
        $band = $this->spec->aim->band ?? SpecBand::between(0.0, null);
        $target = ($this->spec->aim === null ? null : Planner::target($this->spec, $this->facts, $band)) ?? $band->floor() + 1.0;

        return CableMatch::of($sizes, $this->oldSlackIn(), $this->unmeasured(), $takes, $healthy, $series, $band->floor() / $this->ratio,
            $band->high === null ? null : $band->high / $this->ratio, $target / $this->ratio);
    }

    /** @return list<string> adjusters nobody measured before they were moved */
    private function unmeasured(): array
    {
        return array_values(array_map(static fn (Adjuster $one): string => $one->name(),
            array_filter($this->run->playAdjusters(), fn (Adjuster $one): bool => ($this->facts->adjusters->home[$one->id()] ?? null) === null)));
    }

    /**
     * What the old cable had with every adjuster at its slackest: as found, and what they could still have given. One that nobody measured
     * could have given all of its travel, or nothing.
     *
     * @return array{float, float}|null
     */
    private function oldSlackIn(): ?array
    {
        $found = $this->judgement->foundGroup;
        if ($found === null || $found->isTaut() || $this->spec->aim === null || ! $found->isAt($this->spec->aim->point)) {
            return null;
        }
        $least = $found->found->mean / $this->ratio;
        $most = $least;
        foreach ($this->run->playAdjusters() as $id => $adjuster) {
            $home = $this->facts->adjusters->home[$id] ?? null;
            $gives = $home === null ? null : $adjuster->slackGiven(self::slackest($adjuster)->minus($home));
            $least += $gives ?? 0.0;
            $most += $gives ?? self::takes($adjuster);
        }

        return [$least, $most];
    }

    /** Slack from its slackest place to its tightest, in mm. */
    private static function takes(Adjuster $adjuster): float
    {
        return abs($adjuster->slackGiven($adjuster->travel()->length()));
    }

    private static function slackest(Adjuster $adjuster): Steps
    {
        return $adjuster->sense()->sign() > 0 ? $adjuster->travel()->from : $adjuster->travel()->to;
    }

    private static function tightestHealthy(Adjuster $adjuster): Steps
    {
        return $adjuster->sense()->sign() > 0 ? $adjuster->healthy()->to : $adjuster->healthy()->from;
    }
}
