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
}
