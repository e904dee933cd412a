<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Statistics\NormalDistribution;

/** A reading of nothing, or next to it: it says that play was there or below, and not where below. */
final readonly class TautReading
{
    public function __construct(private float $slack, private float $way, private float $mean, private float $standard) {}

    /** Likelihood of such a reading when one millimetre of slack is this much play. */
    public function likelihood(float $ratio, Sums $sums, Hypothesis $under): float
    {
        $off = $this->way - $sums->meanD;
        $play = $sums->meanY + $ratio * ($this->slack - $sums->meanX) + ($under->side === 0.0 ? 0.0 : $under->sideOf($ratio) * $off);

        return NormalDistribution::cumulative(($this->mean - $play) / sqrt($this->standard ** 2 + 1 / $sums->weight + ($under->side === 0.0 ? 0.0 : $under->sideVariance * $off * $off)));
    }
}
