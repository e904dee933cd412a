<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

enum MatchVerdict: string
{
    case Fits = 'fits';
    case AtItsEnd = 'at_its_end';
    case DoesNotFit = 'does_not_fit';
    case CannotTell = 'cannot_tell';

    public function label(): string
    {
        return match ($this) {
            self::Fits => 'Fits',
            self::AtItsEnd => 'Fits at the end of its thread',
            self::DoesNotFit => 'Does not fit',
            self::CannotTell => 'Cannot tell yet',
        };
    }
}
