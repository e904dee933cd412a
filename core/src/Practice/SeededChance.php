<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** The same chance for the same seed, on every machine: Marsaglia's xorshift of 32 bits (Xorshift RNGs, 2003). */
final class SeededChance implements Chance
{
    private const BITS = 0xFFFFFFFF;

    private int $state;

    /** The other half of the last pair of normal values. */
    private ?float $spare = null;

    public function __construct(int $seed)
    {
        // Neighbouring seeds are spread apart, and no seed is zero, where the generator would stay.
        $this->state = (($seed * 2654435761) & self::BITS) | 1;
        for ($i = 0; $i < 16; $i++) {
            $this->next();
        }
    }

    public function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->next() / (self::BITS + 1.0);
    }

    /** Box and Muller (1958). */
    public function normal(): float
    {
        if ($this->spare !== null) {
            [$spare, $this->spare] = [$this->spare, null];

            return $spare;
        }
        $radius = sqrt(-2 * log(1 - $this->between(0.0, 1.0)));
        $angle = $this->between(0.0, 2 * M_PI);
        $this->spare = $radius * sin($angle);

        return $radius * cos($angle);
    }

    private function next(): int
    {
        $x = $this->state;
        $x ^= ($x << 13) & self::BITS;
        $x ^= $x >> 17;
        $x ^= ($x << 5) & self::BITS;

        return $this->state = $x & self::BITS;
    }
}
