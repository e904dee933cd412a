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

    /** Newton needs five or six; halving would be done long before. */
    private const MOST_STEPS = 200;

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
     * The t > 0 that T stays below with chance p, above a half: where `cumulative` reaches p.
     *
     * @throws OutOfRange If p is not between a half and 1.
     */
    public static function quantile(float $p, float $freedom): float
    {
        return $freedom > self::NEARLY_NORMAL
            ? NormalDistribution::quantile($p)
            : self::coverageFactor(2 * $p - 1, max(1, (int) floor($freedom)));
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

    /**
     * Newton's steps from the expansion; one that leaves the bracket found so far is replaced by halving it, or by
     * doubling where it is open.
     */
    private static function search(float $coverage, int $freedom, float $start): float
    {
        $low = 0.0;
        $high = INF;
        $t = $start;
        for ($tries = 0; $tries < self::MOST_STEPS; $tries++) {
            $over = self::within($t, $freedom) - $coverage;
            $step = $over / (2 * self::density($t, $freedom));
            if (abs($step) <= 1e-14 * $t) {
                break;
            }
            $over < 0.0 ? $low = $t : $high = $t;
            $next = $t - $step;
            $t = $next > $low && $next < $high ? $next : ($high === INF ? 2 * $t : ($low + $high) / 2);
        }

        return $t;
    }

    /**
     * Γ((ν+1)/2) / (√(νπ) Γ(ν/2)) · (1 + t²/ν)^(−(ν+1)/2); the ratio of the two grows by (ν + 1)/ν with every two of ν.
     */
    private static function density(float $t, int $freedom): float
    {
        $ratio = $freedom % 2 === 1 ? 1 / sqrt(M_PI) : sqrt(M_PI) / 2;
        for ($i = $freedom % 2 === 1 ? 1 : 2; $i < $freedom; $i += 2) {
            $ratio *= ($i + 1) / $i;
        }

        return $ratio / sqrt($freedom * M_PI) * (1 + $t ** 2 / $freedom) ** (-($freedom + 1) / 2);
    }
}
