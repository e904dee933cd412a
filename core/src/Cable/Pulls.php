<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/**
 * What a cable of a run does. A cable by itself opens, or whatever it does; the second of a push-pull pair closes on
 * the same drum, and the second of a governed throttle follows the governor's arm.
 */
enum Pulls: string
{
    case Opening = 'opening';
    case Closing = 'closing';
    case Following = 'following';

    public function isSecond(): bool
    {
        return $this !== self::Opening;
    }

    /** Where the play of this cable is read, where it is not the spec's own place. */
    public function point(): ?ReadingPoint
    {
        return match ($this) {
            self::Opening => null,
            self::Closing => ReadingPoint::GripBackward,
            self::Following => ReadingPoint::CarburettorBarrel,
        };
    }

    /** What the other cable of its pair is called. */
    public function otherLabel(): string
    {
        return $this === self::Following ? 'primary cable' : 'opening cable';
    }

    public function label(): string
    {
        return match ($this) {
            self::Opening => 'opening cable',
            self::Closing => 'closing cable',
            self::Following => 'secondary cable',
        };
    }
}
