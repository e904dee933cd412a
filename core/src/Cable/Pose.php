<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** How the bars stand while a reading is taken or a proof is tried. */
enum Pose: string
{
    case Straight = 'straight';
    case Left = 'left';
    case Right = 'right';

    public function label(): string
    {
        return match ($this) {
            self::Straight => 'bars straight',
            self::Left => 'bars full left',
            self::Right => 'bars full right',
        };
    }
}
