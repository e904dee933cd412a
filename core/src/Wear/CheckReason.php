<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

/** What asks for the next look. */
enum CheckReason: string
{
    case Named = 'named';
    case NewPart = 'new_part';
    case NewMachine = 'new_machine';
    case Drift = 'drift';
    case Book = 'book';
    case Practice = 'practice';

    public function label(): string
    {
        return match ($this) {
            self::Named => 'named at the last job',
            self::NewMachine => 'new machine, again after four or five uses',
            self::NewPart => 'new part, a first look soon',
            self::Drift => 'its own drift',
            self::Book => 'book interval',
            self::Practice => 'practice interval',
        };
    }
}
