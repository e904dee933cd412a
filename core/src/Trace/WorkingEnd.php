<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/** What a cable works against at its far end, once free play and any return spring are taken up. */
enum WorkingEnd: string
{
    case ClutchSprings = 'clutch_springs';
    case ThrottleSpring = 'throttle_spring';
    case Belt = 'belt';
    case BrakeBand = 'brake_band';
    case Linkage = 'linkage';

    public function label(): string
    {
        return match ($this) {
            self::ClutchSprings => 'clutch springs',
            self::ThrottleSpring => 'throttle spring',
            self::Belt => 'belt',
            self::BrakeBand => 'brake',
            self::Linkage => 'linkage',
        };
    }

    /** What a pull that never got heavier than its return spring says. */
    public function unreached(): string
    {
        return match ($this) {
            self::ClutchSprings => 'It never gets heavier than a return spring: the arm is on the wrong spline, or the push rod is not touched.',
            self::Belt => 'It never gets heavier than a return spring: the belt is not reached. Look whether the cable is slack, or off its hook.',
            self::ThrottleSpring, self::BrakeBand,
            self::Linkage => 'It never gets heavier: what it works is not reached.',
        };
    }

    /** Whether a light return spring comes before it, so that a pull which never gets heavier did not reach it. */
    public function isBehindReturnSpring(): bool
    {
        return match ($this) {
            self::ClutchSprings => true,
            self::Belt, self::ThrottleSpring, self::BrakeBand, self::Linkage => false,
        };
    }
}
