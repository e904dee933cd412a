<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

/** Why all is read anew although nothing of the machine was changed. */
enum ReadAnew
{
    /** Somebody looked where the bench said, and found nothing. */
    case NothingFound;
    /** The distances of the hand control were measured. */
    case HandMeasured;

    public function sentence(): string
    {
        return match ($this) {
            self::NothingFound => 'Nothing was found: pull it fully three times and read it anew',
            self::HandMeasured => 'Measured: pull it fully three times and read it anew',
        };
    }
}
