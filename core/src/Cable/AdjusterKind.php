<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

enum AdjusterKind: string
{
    case Barrel = 'barrel';
    case InLine = 'in_line';
    case BracketNuts = 'bracket_nuts';

    public function label(): string
    {
        return match ($this) {
            self::Barrel => 'barrel adjuster',
            self::InLine => 'in-line adjuster',
            self::BracketNuts => 'bracket nuts',
        };
    }

    /** The side a turn of it is seen from; without it, clockwise says nothing. */
    public function seenFrom(): string
    {
        return match ($this) {
            self::Barrel, self::InLine => 'seen from the cable',
            self::BracketNuts => 'both nuts, seen from the cable',
        };
    }

    /**
     * Which way a right-hand thread is turned to go out, seen from the cable: a barrel is screwed out of its seat, but
     * nuts are screwed along a threaded end that stands still, which is the other way about.
     */
    public function rotationOut(): Rotation
    {
        return match ($this) {
            self::Barrel, self::InLine => Rotation::Anticlockwise,
            self::BracketNuts => Rotation::Clockwise,
        };
    }
}
