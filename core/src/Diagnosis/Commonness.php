<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/**
 * How likely a cause is to be there on any control of its family that comes in, before anything is known (ours, no
 * source). Small enough that a second fault beside the first is told of one control in five.
 */
enum Commonness: string
{
    case Common = 'common';
    case Occasional = 'occasional';
    case Rare = 'rare';

    public function chance(): float
    {
        return match ($this) {
            self::Common => 0.03,
            self::Occasional => 0.0125,
            self::Rare => 0.004,
        };
    }
}
