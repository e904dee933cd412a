<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/**
 * What is believed of R: shares on a grid of ln R laid about the most likely value.
 *
 * ln R is normal before (mean ln, deviation k); readings add ln L(R) = −½(Syy − 2R·Sxy + R²·Sxx). The grid spans six
 * standard deviations of the curve at its peak either way, so that it stays fine however much was learned.
 */
final readonly class Posterior
{
    private const HALF = 30;

    private const REACH = 6.0;

    /** Shares below this are left out of every sum. */
    private const NEGLIGIBLE = 1e-9;

    /**
     * @param  list<float>  $ratios  R at the nodes that count
     * @param  list<float>  $shares  their shares, adding up to one
     */
    private function __construct(
        public array $ratios,
        public array $shares,
        /** Expected R. */
        public float $ratio,
        /** Variance of R. */
        public float $variance,
        /** Mean and standard deviation of ln R, to hand on. */
        public float $ln,
        public float $spread,
        /** Variance of ln R within the cell of one node, about that node. */
        public float $cell,
    ) {}

    /** @param  list<TautReading>  $taut */
    public static function of(RatioPrior $prior, Sums $sums, Peak $peak, array $taut): self
    {
        $step = $peak->spread * self::REACH / self::HALF;
        $ratios = [];
        $weights = [];
        $total = 0.0;
        for ($node = -self::HALF; $node <= self::HALF; $node++) {
            $ln = $peak->ln + $node * $step;
            $off = ($ln - $prior->ln) / $prior->spread;
            $ratio = exp($ln);
            $weight = exp($ratio * $sums->xy - 0.5 * $ratio * $ratio * $sums->xx - 0.5 * $off * $off - $peak->height);
            foreach ($taut as $reading) {
                $weight *= $reading->likelihood($ratio, $sums);
            }
            $ratios[] = $ratio;
            $weights[] = $weight;
            $total += $weight;
        }

        // Taut where nothing lets it be: the reading is left aside, for a surprise was told already.
        return $total > 0.0 || $taut === []
            ? self::summed($ratios, $weights, $total, $peak->ln - self::HALF * $step, $step)
            : self::of($prior, $sums, $peak, []);
    }

    /**
     * @param  list<float>  $ratios
     * @param  list<float>  $weights
     */
    private static function summed(array $ratios, array $weights, float $total, float $first, float $step): self
    {
        $kept = [[], []];
        [$mean, $square, $ln, $lnSquare] = [0.0, 0.0, 0.0, 0.0];
        foreach ($weights as $node => $weight) {
            $share = $weight / $total;
            if ($share < self::NEGLIGIBLE) {
                continue;
            }
            $at = $first + $node * $step;
            $kept[0][] = $ratios[$node];
            $kept[1][] = $share;
            $mean += $share * $ratios[$node];
            $square += $share * $ratios[$node] ** 2;
            $ln += $share * $at;
            $lnSquare += $share * $at * $at;
        }

        return new self($kept[0], $kept[1], $mean, max(0.0, $square - $mean * $mean), $ln, sqrt(max(1e-12, $lnSquare - $ln * $ln)), $step * $step / 12);
    }
}
