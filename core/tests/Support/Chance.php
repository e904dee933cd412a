<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Repeatable chance for property tests: the same seed, the same cases. */
final readonly class Chance
{
    private Randomizer $randomizer;

    public function __construct(public int $seed)
    {
        $this->randomizer = new Randomizer(new Mt19937($seed));
    }

    public function whole(int $least, int $most): int
    {
        return $this->randomizer->getInt($least, $most);
    }

    public function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->randomizer->getInt(0, 1_000_000) / 1_000_000;
    }

    /** A normal value, by summing twelve uniform ones. */
    public function normal(float $mean, float $deviation): float
    {
        $sum = -6.0;
        for ($i = 0; $i < 12; $i++) {
            $sum += $this->between(0.0, 1.0);
        }

        return $mean + $deviation * $sum;
    }
}
