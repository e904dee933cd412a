<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

/**
 * How a mean may lie about the truth: its standard uncertainty, and what the marks do that no curve says. All in mm.
 */
final readonly class Spread
{
    private function __construct(
        /** Combined standard uncertainty. */
        public float $standard,
        /** Degrees of freedom, from 1 to INF. */
        public float $freedom,
        /** Standard uncertainty without the marks. */
        public float $random,
        /** By how much rounding to the marks can shift a mean, at the most. */
        public float $marks,
    ) {}

    public static function of(float $standard, float $freedom = INF): self
    {
        return new self($standard, $freedom, $standard, 0.0);
    }

    /**
     * Rounded readings of n: the mean is off by at most half a mark over n, since it can only fall on every n-th part
     * of one, and by what rounding leaves of a hand that repeats more finely than the marks, d/π·exp(−2π²s²/d²) (Widrow
     * and Kollár, Quantization Noise, 2008, 5); by half a mark in all.
     *
     * @param  float  $random  standard uncertainty without the marks
     * @param  float  $hand  standard deviation of one reading by hand
     * @param  float  $step  d, the marks
     */
    public static function rounded(
        float $standard,
        float $freedom,
        float $random,
        float $hand,
        float $step,
        int $n,
    ): self {
        $left = $step / M_PI * exp(-2 * (M_PI * $hand / $step) ** 2);

        return new self($standard, $freedom, $random, min($step / 2, $left + $step / (2 * $n)));
    }
}
