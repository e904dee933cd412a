<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** What a cable's inner wire ends in. */
enum CableEnd: string
{
    case Barrel = 'barrel';
    case Ball = 'ball';
    case ZBend = 'z_bend';
    case Eyelet = 'eyelet';
    case Hook = 'hook';
    case Threaded = 'threaded';
    case Bare = 'bare';

    public function label(): string
    {
        return match ($this) {
            self::Barrel => 'barrel',
            self::Ball => 'ball',
            self::ZBend => 'Z-bend',
            self::Eyelet => 'eyelet',
            self::Hook => 'hook',
            self::Threaded => 'threaded end',
            self::Bare => 'bare wire, clamped',
        };
    }
}
