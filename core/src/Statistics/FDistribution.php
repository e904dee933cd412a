<?php

declare(strict_types=1);

namespace VividPull\Core\Statistics;

/**
 * How likely a ratio of two variances is to be this large by chance. By the regularized incomplete beta function as a
 * continued fraction, modified Lentz: DLMF 8.17.22 and 8.17.4; the logarithm of the gamma function by Lanczos
 * (Numerical Recipes, 3rd ed., 6.1).
 */
final readonly class FDistribution
{
    private const MOST_STEPS = 500;

    private const CLOSE = 1e-15;

    private const TINY = 1e-300;

    private const LANCZOS = [
        57.1562356658629235, -59.5979603554754912, 14.1360979747417471, -0.491913816097620199, .339946499848118887e-4,
        .465236289270485756e-4, -.983744753048795646e-4, .158088703224912494e-3, -.210264441724104883e-3,
        .217439618115212643e-3, -.164318106536763890e-3, .844182239838527433e-4, -.261908384015814087e-4,
        .368991826595316234e-5,
    ];

    /** P(F > f) for f ≥ 0 with these degrees of freedom, of the one above the line and of the one below. */
    public static function above(float $f, float $over, float $under): float
    {
        return $f <= 0.0 ? 1.0 : self::beta($under / ($under + $over * $f), $under / 2, $over / 2);
    }

    /** I_x(a, b). */
    private static function beta(float $x, float $a, float $b): float
    {
        if ($x <= 0.0 || $x >= 1.0) {
            return $x <= 0.0 ? 0.0 : 1.0;
        }
        $front = exp(
            self::logGamma($a + $b) - self::logGamma($a) - self::logGamma($b) + $a * log($x) + $b * log(1.0 - $x),
        );

        return $x < ($a + 1.0) / ($a + $b + 2.0)
            ? $front * self::fraction($x, $a, $b) / $a
            : 1.0 - $front * self::fraction(1.0 - $x, $b, $a) / $b;
    }

    private static function fraction(float $x, float $a, float $b): float
    {
        $c = 1.0;
        $d = 1.0 / self::away(1.0 - ($a + $b) * $x / ($a + 1.0));
        $all = $d;
        for ($m = 1; $m <= self::MOST_STEPS; $m++) {
            foreach ([
                $m * ($b - $m) * $x / (($a + 2 * $m - 1.0) * ($a + 2 * $m)),
                -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1.0)),
            ] as $part) {
                $d = 1.0 / self::away(1.0 + $part * $d);
                $c = self::away(1.0 + $part / $c);
                $all *= $c * $d;
            }
            if (abs($c * $d - 1.0) < self::CLOSE) {
                break;
            }
        }

        return $all;
    }

    private static function away(float $from): float
    {
        return abs($from) < self::TINY ? self::TINY : $from;
    }

    private static function logGamma(float $x): float
    {
        $series = 0.999999999999997092;
        foreach (self::LANCZOS as $n => $part) {
            $series += $part / ($x + $n + 1.0);
        }
        $shifted = $x + 5.24218750000000000;

        return ($x + 0.5) * log($shifted) - $shifted + log(2.5066282746310005 * $series / $x);
    }
}
