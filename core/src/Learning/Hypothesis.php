<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Cable\RatioPrior;

/**
 * One way in which a machine may be: its ratio as it was told or quite another, its play the same from either side or
 * not, its thread true or with lost motion.
 *
 * Given R, play is y = a + R·x + h·d, with the level a under a flat prior and the side h normal about 0 with deviation
 * τ; both are integrated out, which leaves the sums of x and y less what d explains of them: Sxx − Sxd²/(Sdd + 1/τ²),
 * and so on.
 */
final readonly class Hypothesis
{
    private float $constant;

    private PosteriorMode $peak;

    /** Sums of slack and play, less what the side explains of them. */
    private float $xx;

    private float $xy;

    /** What play shifts by when it is come from the other side, at R = 0 and for each R; and its variance. */
    private float $sideAt;

    private float $sideSlope;

    public float $sideVariance;

    private function __construct(
        /** Its share before anything was read. */
        public float $share,
        public RatioPrior $prior,
        /** τ² in mm² of play; 0 where the side does not matter. */
        public float $side,
        public Told $told,
        PosteriorMode $near,
    ) {
        $sums = $told->sums;
        // Without a side nothing is taken off: what is divided by is without end.
        $below = $side === 0.0 ? INF : $sums->dd + 1 / $side;
        $this->xx = $sums->xx - $sums->dx ** 2 / $below;
        $this->xy = $sums->xy - $sums->dx * $sums->dy / $below;
        [$this->sideAt, $this->sideSlope, $this->sideVariance] = [$sums->dy / $below, -$sums->dx / $below, 1 / $below];
        $this->peak = $near->with($prior, $this->xx, $this->xy);
        $this->constant = log($share / $prior->spread)
            - 0.5 * log(1 + $sums->dd * $side)
            - 0.5 * ($sums->yy - $sums->dy ** 2 / $below);
    }

    /** @param  PosteriorMode|null  $near  where its peak was before the last reading; null to look from its prior on */
    public static function of(
        float $share,
        RatioPrior $prior,
        float $side,
        Told $told,
        ?PosteriorMode $near = null,
    ): self {
        return new self($share, $prior, $side, $told, $near ?? PosteriorMode::ofPrior($prior));
    }

    /** ln of the evidence for it, by the curve at its peak (Laplace's method); exact enough to leave it out. */
    public function roughEvidence(): float
    {
        return $this->constant + $this->peak->height + log($this->peak->spread);
    }

    /** By how much play is read differently for one step of side, when one mm of slack is so much play. */
    public function sideOf(float $ratio): float
    {
        return $this->sideAt + $this->sideSlope * $ratio;
    }

    /** Whether play reads differently when it is come from the other side. */
    public function hasSides(): bool
    {
        return $this->side > 0.0 || $this->told->thread->lost > 0.0;
    }

    public function peak(): PosteriorMode
    {
        return $this->peak;
    }

    /** ln of the likelihood of R with its prior, the parts that R does not change included. */
    public function height(float $ln, float $ratio): float
    {
        $off = ($ln - $this->prior->ln) / $this->prior->spread;

        return $this->constant + $ratio * $this->xy - 0.5 * $ratio * $ratio * $this->xx - 0.5 * $off * $off;
    }
}
