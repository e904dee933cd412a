<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

/** How long an engine stands until it counts as cold. */
final readonly class Cooling
{
    /** Our own figure, until the machine's book says otherwise. */
    public const COLD_AFTER_MINUTES = 180;

    /**
     * How far it has cooled, from 0 to 1.
     *
     * @param  float  $stood  minutes since it ran; negative where it will run yet
     */
    public static function share(float $stood): float
    {
        return min(1.0, max(0.0, $stood / self::COLD_AFTER_MINUTES));
    }

    /** Minutes until it is cold; 0 once it is. */
    public static function minutesLeft(float $stood): float
    {
        return max(0.0, self::COLD_AFTER_MINUTES - $stood);
    }
}
