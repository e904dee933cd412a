<?php

declare(strict_types=1);

namespace VividPull\Core\Statistics;

use VividPull\Core\Errors\OutOfRange;

/** The experimental standard deviation of one sample, divisor n − 1 (JCGM 100:2008, 4.2.2). */
final readonly class SampleDeviation
{
    /**
     * @param  list<float>  $values
     *
     * @throws OutOfRange If there are fewer than two values.
     */
    public static function of(array $values): float
    {
        $n = count($values);
        if ($n < 2) {
            throw OutOfRange::tooFew('A sample deviation', $n, 2);
        }
        $mean = array_sum($values) / $n;
        $squares = 0.0;
        foreach ($values as $value) {
            $squares += ($value - $mean) ** 2;
        }

        return sqrt($squares / ($n - 1));
    }
}
