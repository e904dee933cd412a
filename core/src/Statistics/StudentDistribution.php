<?php

declare(strict_types=1);

namespace VividPull\Core\Statistics;

use VividPull\Core\Errors\OutOfRange;

/**
 * Student's t for whole degrees of freedom, as JCGM 100:2008 (G.4.1) asks: an effective ν is truncated first.
 *
 * The two-sided probability is the finite series of Abramowitz and Stegun, 26.7.3 and 26.7.4; the start of the
 * quantile search is their expansion 26.7.5.
 */
final readonly class StudentDistribution
{
    /** Above this many degrees of freedom the normal quantile with 26.7.5 is exact to nine digits. */
    private const NEARLY_NORMAL = 400;

    /** P(|T| ≤ t) for t ≥ 0. */
    public static function within(float $t, int $freedom): float
    {
        $theta = atan($t / sqrt($freedom));
        $cos2 = cos($theta) ** 2;
        $odd = $freedom % 2 === 1;
        $term = $odd ? cos($theta) : 1.0;
        $sum = $freedom === 1 ? 0.0 : $term;
        for ($i = $odd ? 3 : 2; $i <= $freedom - 2; $i += 2) {
            $term *= $cos2 * ($i - 1) / $i;
            $sum += $term;
        }

        return $odd ? 2 / M_PI * ($theta + sin($theta) * $sum) : sin($theta) * $sum;
    }

    /** P(T ≤ t); with infinite freedom, or more than counts, the normal distribution. */
    public static function cumulative(float $t, float $freedom): float
    {
        if ($freedom > self::NEARLY_NORMAL) {
            return NormalDistribution::cumulative($t);
        }
        $half = self::within(abs($t), max(1, (int) floor($freedom))) / 2;

        return $t < 0.0 ? 0.5 - $half : 0.5 + $half;
    }

    /**
     * The t that |T| stays below with the given coverage, such as 0.95.
     *
     * @throws OutOfRange If the coverage is not strictly between 0 and 1, or ν is below 1.
     */
    public static function coverageFactor(float $coverage, int $freedom): float
    {
        if ($coverage <= 0.0 || $coverage >= 1.0) {
            throw OutOfRange::probability($coverage);
        }
        if ($freedom < 1) {
            throw OutOfRange::positive('Degrees of freedom', $freedom);
        }
        $z = NormalDistribution::quantile((1 + $coverage) / 2);
        $start = $z + ($z ** 3 + $z) / (4 * $freedom) + (5 * $z ** 5 + 16 * $z ** 3 + 3 * $z) / (96 * $freedom ** 2);

        return $freedom > self::NEARLY_NORMAL ? $start : self::search($coverage, $freedom, $start);
    }

    /** Brackets from the expansion, then halves the bracket down to the last digits of a float. */
    private static function search(float $coverage, int $freedom, float $start): float
    {
        $low = 0.0;
        $high = $start;
        while (self::within($high, $freedom) < $coverage) {
            $low = $high;
            $high *= 2;
        }
        while ($high - $low > 1e-13 * $high) {
            $middle = ($low + $high) / 2;
            if ($middle <= $low || $middle >= $high) {
                break;
            }
            self::within($middle, $freedom) < $coverage ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }
}
