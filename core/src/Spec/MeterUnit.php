<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Quantity\Figure;

/** What a machine's meter counts. */
enum MeterUnit: string
{
    case Kilometres = 'km';
    case Miles = 'mi';
    case Hours = 'h';
    case Uses = 'uses';

    private const KM_PER_MI = 1.609344;

    /** The use that a rate of wear is said for. */
    public function per(): int
    {
        return match ($this) {
            self::Kilometres, self::Miles => 1000,
            self::Hours, self::Uses => 100,
        };
    }

    /**
     * How often practice looks: about every 1,000 mi where distance is counted; common practice, no source. Null where
     * none is known.
     */
    public function usualCheck(): ?float
    {
        return match ($this) {
            self::Miles => 1000.0,
            self::Kilometres => 1600.0,
            self::Hours, self::Uses => null,
        };
    }

    /**
     * The first four or five uses of a new machine (common practice, no source); an hour counts as one (ours). Null
     * where use is no use.
     */
    public function firstUses(): ?float
    {
        return match ($this) {
            self::Hours, self::Uses => 5.0,
            self::Kilometres, self::Miles => null,
        };
    }

    /** Whether a machine with this on its meter is still new (ours: twice its first uses). */
    public function isNewAt(float $usage): bool
    {
        return $this->firstUses() !== null && $usage <= 2 * $this->firstUses();
    }

    /** This much of this unit in another; null where they do not count the same thing. */
    public function to(self $other, float $use): ?float
    {
        return match (true) {
            $this === $other => $use,
            $this === self::Miles && $other === self::Kilometres => $use * self::KM_PER_MI,
            $this === self::Kilometres && $other === self::Miles => $use / self::KM_PER_MI,
            default => null,
        };
    }

    /** A figure of use as it is said: `7 750 km`. */
    public function say(float $use): string
    {
        return (string) Figure::usage($use, $this->value);
    }
}
