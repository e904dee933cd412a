<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use App\Gauges\Steady;

/** When something was measured, so that its age is known even where somebody sets the computer's clock. */
final readonly class When
{
    private function __construct(
        /** By the computer's clock, in milliseconds; it holds over a restart. */
        public int $atMs,
        /** By a clock that nobody sets, since this program began; null where it was measured before. */
        private ?int $steadyMs,
    ) {}

    public static function now(): self
    {
        return new self(self::clock(), Steady::ms());
    }

    public static function before(int $atMs): self
    {
        return new self($atMs, null);
    }

    public function ageMs(): int
    {
        return max(0, $this->steadyMs === null ? self::clock() - $this->atMs : Steady::ms() - $this->steadyMs);
    }

    private static function clock(): int
    {
        return (int) (microtime(true) * 1000);
    }
}
