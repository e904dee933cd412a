<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Statistics\NormalDistribution;

/** Conformance probabilities and guard bands (JCGM 106:2012, 7 and 8), with a normal distribution about the mean. */
final readonly class Conformity
{
    /** P(play is in the band), for a mean and its standard uncertainty in mm. */
    public static function chanceInside(float $mean, float $standard, SpecBand $band): float
    {
        if ($standard <= 0.0) {
            return $band->contains($mean) ? 1.0 : 0.0;
        }
        $below = $band->high === null ? 1.0 : NormalDistribution::cumulative(($band->high - $mean) / $standard);

        return max(0.0, $below - NormalDistribution::cumulative(($band->floor() - $mean) / $standard));
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
    public static function acceptance(SpecBand $band, float $standard, DecisionRule $rule): ?array
    {
        if ($rule === DecisionRule::Plain || $standard <= 0.0) {
            return [$band->floor(), $band->ceiling()];
        }
        if ($band->high === null) {
            return [$band->floor() + NormalDistribution::quantile(DecisionRule::CONFIDENCE) * $standard, INF];
        }
        $middle = ($band->floor() + $band->high) / 2;
        if (self::chanceInside($middle, $standard, $band) < DecisionRule::CONFIDENCE) {
            return null;
        }
        $edge = self::edgeBelow($band, $standard, $middle);

        return [$edge, 2 * $middle - $edge];
    }

    private static function edgeBelow(SpecBand $band, float $standard, float $middle): float
    {
        $out = $band->floor();
        $in = $middle;
        for ($i = 0; $i < 50; $i++) {
            $try = ($out + $in) / 2;
            self::chanceInside($try, $standard, $band) >= DecisionRule::CONFIDENCE ? $in = $try : $out = $try;
        }

        return $in;
    }
}
