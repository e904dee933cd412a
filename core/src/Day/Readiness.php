<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

/** When a control can be read: what is measured cold comes first thing, what is measured hot after the machine has run. */
enum Readiness: string
{
    case Cold = 'cold';
    case Any = 'any';
    case Cooling = 'cooling';
    case Soaking = 'soaking';
    case Hot = 'hot';

    /** Its place in the day. */
    public function order(): int
    {
        return match ($this) {
            self::Cold => 0,
            self::Any => 1,
            self::Cooling => 2,
            self::Soaking => 3,
            self::Hot => 4,
        };
    }
}
