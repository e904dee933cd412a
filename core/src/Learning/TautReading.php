<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Statistics\NormalDistribution;

/**
 * A reading of nothing, or next to it: it says that play was there or below, and not where below.
 *
 * A cable that is found taut is taut by little more often than by much (exponential; its mean is ours). Without that,
 * every greater R explained the reading as well, and the next moves fell short.
 */
final readonly class TautReading
{
    /** By how much a cable that is found taut is too short, on average, in mm of conduit (ours). */
    private const USUAL = 3.5;

    /**
     * @param  float|null  $found  expected mm of play for one of slack, where it was found taut; null where moves made
     *     it so
     */
    public function __construct(private float $mean, private float $standard, private ?float $found) {}

    /**
     * Likelihood of such a reading when one millimetre of slack is this much play.
     *
     * @param  array{float, float}  $at  the slack and the way it was read at
     */
    public function likelihood(float $ratio, Hypothesis $under, array $at): float
    {
        $sums = $under->told->sums;
        $off = $at[1] - $sums->meanD;
        $play = $sums->meanY
            + $ratio * ($at[0] - $sums->meanX)
            + ($under->side === 0.0 ? 0.0 : $under->sideOf($ratio) * $off);
        $deviation = sqrt(
            $this->standard ** 2
                + 1 / $sums->weight
                + ($under->side === 0.0 ? 0.0 : $under->sideVariance * $off * $off),
        );
        $below = ($this->mean - $play) / $deviation;
        if ($this->found === null) {
            return NormalDistribution::cumulative($below);
        }
        // The mean of e^(−taut/usual) over a normal curve, as far as it is taut.
        $usual = $deviation / (self::USUAL * $this->found);

        return exp($usual * (0.5 * $usual - $below)) * NormalDistribution::cumulative($below - $usual);
    }
}
