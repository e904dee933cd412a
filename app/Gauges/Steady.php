<?php

declare(strict_types=1);

namespace App\Gauges;

/** A clock that nobody sets: good for how long ago, and for nothing else. */
final readonly class Steady
{
    public static function ms(): int
    {
        return intdiv((int) hrtime(true), 1_000_000);
    }
}
