<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** A way of turning, which means nothing without the side it is seen from. */
enum Rotation: string
{
    case Clockwise = 'clockwise';
    case Anticlockwise = 'anticlockwise';

    public function opposite(): self
    {
        return match ($this) {
            self::Clockwise => self::Anticlockwise,
            self::Anticlockwise => self::Clockwise,
        };
    }
}
