<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

use VividPull\Core\Errors\OutOfRange;

/**
 * An exact amount of turning, counted in 720ths of a turn so that flats (a sixth) and eighths are whole. Out is
 * positive.
 */
final readonly class Steps
{
    public const PER_TURN = 720;

    public const PER_FLAT = 120;

    private function __construct(public int $count) {}

    public static function of(int $turns, int $flats = 0): self
    {
        return new self($turns * self::PER_TURN + $flats * self::PER_FLAT);
    }

    public static function fromFlats(int $flats): self
    {
        return new self($flats * self::PER_FLAT);
    }

    public static function fromCount(int $count): self
    {
        return new self($count);
    }

    /** @throws OutOfRange If the number is no whole count of 720ths. */
    public static function exactly(float $turns): self
    {
        $count = round($turns * self::PER_TURN);
        if (abs($count - $turns * self::PER_TURN) > 1e-6 * max(1.0, abs($count))) {
            throw OutOfRange::finerThanTurns($turns);
        }

        return new self((int) $count);
    }

    /** The nearest countable amount, for a thread that was measured in mm. */
    public static function nearest(float $turns): self
    {
        return new self((int) round($turns * self::PER_TURN));
    }

    public static function none(): self
    {
        return new self(0);
    }

    public function plus(self $other): self
    {
        return new self($this->count + $other->count);
    }

    public function minus(self $other): self
    {
        return new self($this->count - $other->count);
    }

    public function reversed(): self
    {
        return new self(-$this->count);
    }

    public function toFloat(): float
    {
        return $this->count / self::PER_TURN;
    }

    public function isNone(): bool
    {
        return $this->count === 0;
    }

    /** As it is said at the bench, without direction: `1 turn and 2 flats`, `5 flats`, `0.35 turn`. */
    public function say(): string
    {
        $count = abs($this->count);
        if ($count % self::PER_FLAT !== 0) {
            $turns = Figure::number($count / self::PER_TURN, 3)->bare();

            return $turns.' '.($count <= self::PER_TURN ? 'turn' : 'turns');
        }
        $whole = intdiv($count, self::PER_TURN);
        $flats = intdiv($count % self::PER_TURN, self::PER_FLAT);
        $parts = array_filter([
            $whole === 0 ? null : ($whole === 1 ? '1 turn' : "{$whole} turns"),
            $flats === 0 ? null : ($flats === 1 ? '1 flat' : "{$flats} flats"),
        ]);

        return $parts === [] ? 'nothing' : implode(' and ', $parts);
    }
}
