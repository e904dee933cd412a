<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Statistics\StudentDistribution;

/**
 * Conformance probabilities and guard bands (JCGM 106:2012, 7 and 8), with Student's distribution about the mean: the
 * same truncated degrees of freedom that give U (JCGM 100:2008, G.4).
 */
final readonly class Conformity
{
    private const HALVINGS = 20;

    /** Far below what a halving tells apart, and far above what the curves are wrong by, in mm. */
    private const HAIR = 1e-9;

    /**
     * P(play is in the band), for a mean and how it may lie about the truth. Of a mean inside the band no more than is
     * left when the marks have shifted it as far towards the edges as they can: a reading one mark inside an edge may
     * be of a play on that edge.
     */
    public static function chanceInside(float $mean, Spread $spread, SpecBand $band): float
    {
        $chance = self::between(
            $band->floor() - $mean,
            ($band->high ?? INF) - $mean,
            $spread->standard,
            $spread->freedom,
        );
        if ($spread->marks <= 0.0 || ! $band->contains($mean)) {
            return $chance;
        }

        return min(
            $chance,
            self::between(
                $band->floor() - $mean + $spread->marks,
                ($band->high ?? INF) - $mean - $spread->marks,
                $spread->random,
                $spread->freedom,
            ),
        );
    }

    public static function decide(float $mean, float $chance, SpecBand $band, DecisionRule $rule): VerdictKind
    {
        $inside = match ($rule) {
            DecisionRule::Guarded => $chance >= DecisionRule::CONFIDENCE,
            DecisionRule::Plain => $band->contains($mean),
        };
        $outside = match ($rule) {
            DecisionRule::Guarded => $chance <= 1 - DecisionRule::CONFIDENCE + 1e-12,
            DecisionRule::Plain => ! $inside,
        };

        return match (true) {
            $inside => VerdictKind::Inside,
            ! $outside => VerdictKind::CantTell,
            $mean > $band->ceiling() => VerdictKind::TooLoose,
            $mean < $band->floor() => VerdictKind::TooTight,
            // Too uncertain even to place: the chance is low everywhere, and the mean lies inside.
            default => VerdictKind::CantTell,
        };
    }

    /**
     * The readings that would be called inside: [from, to] in mm, or null when none would, however they fell.
     *
     * Found by halving from the middle, where the chance is greatest.
     *
     * @return array{float, float}|null
     */
    public static function acceptance(SpecBand $band, Spread $spread, DecisionRule $rule): ?array
    {
        if ($rule === DecisionRule::Plain || $spread->standard <= 0.0) {
            return [$band->floor(), $band->ceiling()];
        }
        if ($band->high === null) {
            return [$band->floor() + self::guard($spread), INF];
        }
        $middle = ($band->floor() + $band->high) / 2;
        if (self::chanceInside($middle, $spread, $band) < DecisionRule::CONFIDENCE) {
            return null;
        }
        $edge = self::edgeBelow($band, $spread, $middle);

        return [$edge, 2 * $middle - $edge];
    }

    /** How far inside an edge without another a mean must lie to be called inside, in mm. */
    public static function guard(Spread $spread): float
    {
        $t = StudentDistribution::coverageFactor(
            2 * DecisionRule::CONFIDENCE - 1,
            max(1, (int) min(floor($spread->freedom), 1e9)),
        );

        return self::guardOf($spread, $t);
    }

    private static function guardOf(Spread $spread, float $t): float
    {
        return max($t * $spread->standard, $spread->marks + $t * $spread->random);
    }

    private static function edgeBelow(SpecBand $band, Spread $spread, float $middle): float
    {
        $out = $band->floor();
        $in = $middle;
        // By this edge alone; the one across only takes from the chance, and mostly nothing that shows.
        $alone = $out
            + self::guardOf($spread, StudentDistribution::quantile(DecisionRule::CONFIDENCE, $spread->freedom));
        [$least, $enough] = [$alone - self::HAIR, $alone + self::HAIR];
        $enough = $enough < $middle && self::chanceInside($enough, $spread, $band) >= DecisionRule::CONFIDENCE
            ? $enough
            : $middle;
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $try = ($out + $in) / 2;
            $try >= $enough || ($try > $least && self::chanceInside($try, $spread, $band) >= DecisionRule::CONFIDENCE)
                ? $in = $try
                : $out = $try;
        }

        return $in;
    }

    private static function between(float $low, float $high, float $standard, float $freedom): float
    {
        if ($standard <= 0.0) {
            return $low <= 0.0 && $high >= 0.0 ? 1.0 : 0.0;
        }
        $below = $high === INF ? 1.0 : StudentDistribution::cumulative($high / $standard, $freedom);

        return max(0.0, $below - StudentDistribution::cumulative($low / $standard, $freedom));
    }
}
