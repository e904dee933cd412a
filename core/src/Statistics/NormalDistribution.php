<?php

declare(strict_types=1);

namespace VividPull\Core\Statistics;

use VividPull\Core\Errors\OutOfRange;

/**
 * The standard normal distribution.
 *
 * The cumulative probability is Hart's rational approximation (Computer Approximations, 1968, algorithm 5666) in the
 * form given by West, "Better approximations to cumulative normal functions", 2005; good to 1e-14.
 */
final readonly class NormalDistribution
{
    private const SQRT_2PI = 2.5066282746310002;

    /** P(Z ≤ z). */
    public static function cumulative(float $z): float
    {
        $x = $z < 0.0 ? -$z : $z;
        if ($x > 37.0) {
            return $z > 0.0 ? 1.0 : 0.0;
        }
        $e = exp(-$x * $x / 2);
        if ($x < 7.07106781186547) {
            $top = 0.0352624965998911 * $x + 0.700383064443688;
            $top = (($top * $x + 6.37396220353165) * $x + 33.912866078383) * $x + 112.079291497871;
            $top = ($top * $x + 221.213596169931) * $x + 220.206867912376;
            $below = (0.0883883476483184 * $x + 1.75566716318264) * $x + 16.064177579207;
            $below = (($below * $x + 86.7807322029461) * $x + 296.564248779674) * $x + 637.333633378831;
            $below = ($below * $x + 793.826512519948) * $x + 440.413735824752;
            $tail = $e * $top / $below;
        } else {
            $tail = $e / ($x + 1 / ($x + 2 / ($x + 3 / ($x + 4 / ($x + 0.65))))) / self::SQRT_2PI;
        }

        return $z > 0.0 ? 1.0 - $tail : $tail;
    }

    public static function density(float $z): float
    {
        return exp(-$z * $z / 2) / self::SQRT_2PI;
    }

    /**
     * The z below which a share p lies: Newton's method from 0, safe because the cumulative is monotone and p is
     * first folded into the upper half, where it is concave.
     *
     * @throws OutOfRange If p is not strictly between 0 and 1.
     */
    public static function quantile(float $p): float
    {
        if ($p <= 0.0 || $p >= 1.0) {
            throw OutOfRange::probability($p);
        }
        if ($p < 0.5) {
            return -self::quantile(1.0 - $p);
        }
        $z = 0.0;
        for ($i = 0; $i < 60; $i++) {
            $step = (self::cumulative($z) - $p) / self::density($z);
            $z -= $step;
            if (abs($step) < 1e-14 * max(1.0, $z)) {
                break;
            }
        }

        return $z;
    }
}
