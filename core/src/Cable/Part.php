<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** A part that was fitted new, by what it does to what is known of the control. */
enum Part: string
{
    case Cable = 'cable';
    case Lever = 'lever';
    case Arm = 'arm';
    case Drum = 'drum';
    case Plates = 'plates';
    case Spring = 'spring';

    public function label(): string
    {
        return match ($this) {
            self::Cable => 'cable',
            self::Lever => 'lever or handle',
            self::Arm => 'release arm',
            self::Drum => 'drum or grip tube',
            self::Plates => 'plates or lining',
            self::Spring => 'spring',
        };
    }

    /** A new lever, arm or drum has distances of its own; a cable, plates or a spring leave the ratio as it was. */
    public function startsRatioOver(): bool
    {
        return match ($this) {
            self::Lever, self::Arm, self::Drum => true,
            self::Cable, self::Plates, self::Spring => false,
        };
    }

    /** What wore before it was fitted says nothing of how it will wear. */
    public function startsDriftOver(): bool
    {
        return $this !== self::Spring;
    }
}
