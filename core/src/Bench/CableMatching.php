<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Planning\CableMatch;
use VividPull\Core\Planning\ChosenMode;
use VividPull\Core\Planning\Planner;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\SpecBand;

/** The cable match of a job: what the old cable was found with, and what this run's adjusters can take up. */
final readonly class CableMatching
{
    public static function of(BenchState $state): ?CableMatch
    {
        $sizes = $state->facts->seen->replacing?->sizes;
        if ($sizes === null) {
            return null;
        }
        [$takes, $healthy, $stretch] = [0.0, 0.0, 0.0];
        foreach ($state->run->playAdjusters() as $adjuster) {
            $takes += abs($adjuster->slackGiven(self::span($adjuster->travel()->from, $adjuster->travel()->to)));
            $healthy += abs($adjuster->slackGiven(self::span(self::slackest($adjuster), self::tightestHealthy($adjuster))));
            $stretch = max($stretch, abs($adjuster->slackGiven($adjuster->usualReserve())));
        }
        $ratio = exp($state->beliefs->play->taught()->ln);
        $band = $state->spec->aim->band ?? SpecBand::between(0.0, null);
        $target = $state->spec->aim === null ? null : Planner::target($state->spec, $state->facts, $band);

        return CableMatch::of($sizes, self::oldSlackIn($state, $ratio), self::unmeasured($state), $takes, $healthy, $stretch, $band->floor() / $ratio, $band->high === null ? null : $band->high / $ratio, ($target ?? $band->floor() + 1.0) / $ratio);
    }

    /**
     * Where each adjuster lands: the one in reach at its parking place, the others take the rest, the hidden end first; what they
     * cannot take comes back to the one in reach.
     *
     * @return array<string, Steps> by adjuster
     */
    public static function landing(BenchState $state, CableMatch $match): array
    {
        $left = $match->takeUp;
        $near = $state->run->inReach();
        if ($left === null || $near === null) {
            return [];
        }
        $take = [];
        $park = ChosenMode::parking($state->facts)->of($near);
        $parked = min($left, abs($near->slackGiven($park->from->plus($park->to)->minus(self::slackest($near)->plus(self::slackest($near))))) / 2);
        $left -= $parked;
        foreach (array_reverse($state->run->playAdjusters()) as $id => $adjuster) {
            $most = $id === $near->id() ? 0.0 : min($left, abs($adjuster->slackGiven(self::span($adjuster->travel()->from, $adjuster->travel()->to))));
            $take[$id] = $most;
            $left -= $most;
        }
        $take[$near->id()] = $parked + $left;
        $lands = [];
        foreach ($state->run->playAdjusters() as $id => $adjuster) {
            $perStep = abs($adjuster->slackGiven(Steps::of(1)));
            $lands[$id] = self::slackest($adjuster)->plus(Steps::nearest($adjuster->sense()->sign() * ($take[$id] ?? 0.0) / $perStep));
        }

        return $lands;
    }

    /** @return list<string> adjusters nobody measured before they were moved */
    private static function unmeasured(BenchState $state): array
    {
        return array_values(array_map(static fn (Adjuster $one): string => $one->name(),
            array_filter($state->run->playAdjusters(), static fn (Adjuster $one): bool => ($state->facts->home[$one->id()] ?? null) === null)));
    }

    /**
     * What the old cable had with every adjuster at its slackest: as found, and what they could still have given. One that nobody measured
     * could have given all of its travel, or nothing.
     *
     * @return array{float, float}|null
     */
    private static function oldSlackIn(BenchState $state, float $ratio): ?array
    {
        $found = $state->judgement->foundGroup;
        if ($found === null || $found->isTaut() || $state->spec->aim === null || ! $found->isAt($state->spec->aim->point)) {
            return null;
        }
        $least = $found->found->mean / $ratio;
        $most = $least;
        foreach ($state->run->playAdjusters() as $id => $adjuster) {
            $home = $state->facts->home[$id] ?? null;
            $gives = $home === null ? null : $adjuster->slackGiven(self::slackest($adjuster)->minus($home));
            $least += $gives ?? 0.0;
            $most += $gives ?? abs($adjuster->slackGiven(self::span($adjuster->travel()->from, $adjuster->travel()->to)));
        }

        return [$least, $most];
    }

    private static function slackest(Adjuster $adjuster): Steps
    {
        return $adjuster->sense()->sign() > 0 ? $adjuster->travel()->from : $adjuster->travel()->to;
    }

    private static function tightestHealthy(Adjuster $adjuster): Steps
    {
        return $adjuster->sense()->sign() > 0 ? $adjuster->healthy()->to : $adjuster->healthy()->from;
    }

    private static function span(Steps $from, Steps $to): Steps
    {
        return $to->minus($from);
    }
}
