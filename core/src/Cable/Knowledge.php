<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** How a reading ratio is known, and so how far the truth may lie from it. */
enum Knowledge: string
{
    case Measured = 'measured';
    case Drawn = 'drawn';
    case Default = 'default';

    /** Standard deviation of ln R in the prior; our own figures. */
    public function spread(): float
    {
        return match ($this) {
            self::Measured => 0.10,
            self::Drawn => 0.30,
            self::Default => 0.50,
        };
    }
}
