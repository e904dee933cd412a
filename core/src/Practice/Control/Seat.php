<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

/** How an end of a cable sits, by how far a hand pushed it in. */
enum Seat: string
{
    case Home = 'home';
    /** Caught on the edge: it looks hooked, and slips out or stands too far. */
    case Edge = 'edge';
    case Off = 'off';

    /** From here on it is all the way in; ours. */
    private const HOME = 0.92;

    /** From here on it catches; ours. */
    private const CATCHES = 0.3;

    /** @param  float  $in  share of the way into its seat, 0 to 1 */
    public static function of(float $in): self
    {
        return match (true) {
            $in >= self::HOME => self::Home,
            $in >= self::CATCHES => self::Edge,
            default => self::Off,
        };
    }
}
