<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

/** What a reading that comes from outside, or from an older record, is worth where it says only part of it. */
final readonly class KeptReading
{
    /** Coverage factor where a figure names none: U = 2u (JCGM 100:2008, 6.2 and 6.3.3). */
    private const USUAL_FACTOR = 2.0;

    /** Standard uncertainty, in mm, of a reading out of a history that says none; ours, no source. */
    public const USUAL_STANDARD_MM = 0.5;

    public static function standard(float $expanded): float
    {
        return $expanded / self::USUAL_FACTOR;
    }

    public static function expanded(float $standard): float
    {
        return self::USUAL_FACTOR * $standard;
    }
}
