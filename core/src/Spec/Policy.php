<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/** Where in the band to aim. */
enum Policy: string
{
    case Middle = 'middle';
    case Crisp = 'crisp';
    case Loose = 'loose';

    /** Share of the way from the low edge to the high one. */
    public function share(): float
    {
        return match ($this) {
            self::Crisp => 0.25,
            self::Middle => 0.5,
            self::Loose => 0.75,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Middle => 'the middle',
            self::Crisp => 'the crisp side',
            self::Loose => 'the loose side',
        };
    }
}
