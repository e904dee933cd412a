<?php

declare(strict_types=1);

namespace Tests\Support;

use VividPull\Core\Practice\PulledLever;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Wire\TraceFile;

/** Traces of levers with known breaks, as files. */
final readonly class Pulled
{
    public static function csv(int $seed, int $each = 600, bool $isOnWrongSpline = false): string
    {
        $chance = new SeededChance($seed);

        return TraceFile::csv(PulledLever::drawn($chance, $isOnWrongSpline)->pulled($chance, $each));
    }

    public static function play(int $seed): float
    {
        return PulledLever::drawn(new SeededChance($seed))->playMm;
    }
}
