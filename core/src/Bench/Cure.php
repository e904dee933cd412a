<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

/** What is put right where no adjuster is the cure. */
enum Cure: string
{
    case Route = 'route';
    case Mount = 'mount';
    case Spring = 'spring';
    case Belt = 'belt';
    case Oiled = 'oiled';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Route => 'Route put right',
            self::Mount => 'Mount, peg or bracket put right',
            self::Spring => 'Spring hooked or replaced',
            self::Belt => 'Belt replaced or put back',
            self::Oiled => 'Oiled, pivots greased',
            self::Other => 'Something else put right',
        };
    }
}
