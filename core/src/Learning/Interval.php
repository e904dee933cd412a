<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/** From one value to another, both included; either side may be without end. */
final readonly class Interval
{
    private const SLACK = 1e-9;

    private function __construct(public float $from, public float $to) {}

    public static function between(float $one, float $other): self
    {
        return new self(min($one, $other), max($one, $other));
    }

    /** From a bound to another as they are written down, where null is without end. */
    public static function ofEdges(?float $low, ?float $high): self
    {
        return new self($low ?? -INF, $high ?? INF);
    }

    public static function everything(): self
    {
        return new self(-INF, INF);
    }

    public static function nothingBut(float $value): self
    {
        return new self($value, $value);
    }

    public function plus(self $other): self
    {
        return new self($this->from + $other->from, $this->to + $other->to);
    }

    public function shifted(float $by): self
    {
        return new self($this->from + $by, $this->to + $by);
    }

    /** Nothing, however far, is still nothing. */
    public function times(float $factor): self
    {
        return $factor === 0.0 ? self::nothingBut(0.0) : self::between($this->from * $factor, $this->to * $factor);
    }

    public function meeting(self $other): self
    {
        return new self(max($this->from, $other->from), min($this->to, $other->to));
    }

    /** Shifts that bring all of this inside the other: [from* − from, to* − to]. */
    public function certainShiftsInto(self $other): self
    {
        return new self(self::difference($other->from, $this->from), self::difference($other->to, $this->to));
    }

    /** Shifts that bring some of this inside the other: [from* − to, to* − from]. */
    public function possibleShiftsInto(self $other): self
    {
        return new self(self::difference($other->from, $this->to), self::difference($other->to, $this->from));
    }

    public function isEmpty(): bool
    {
        return $this->from > $this->to + self::SLACK;
    }

    /** Whether they share more than an edge. */
    public function overlaps(self $other): bool
    {
        return $this->from <= $other->to - self::SLACK && $this->to >= $other->from + self::SLACK;
    }

    /** The middle; where one side is without end, so far past the edge that is known. */
    public function aim(float $past): float
    {
        return match (true) {
            is_finite($this->from) && is_finite($this->to) => ($this->from + $this->to) / 2,
            is_finite($this->from) => $this->from + $past,
            is_finite($this->to) => $this->to - $past,
            default => 0.0,
        };
    }

    /** What is wanted without end is asked for without end; what is not known cannot be promised. */
    private static function difference(float $wanted, float $known): float
    {
        return match (true) {
            is_infinite($wanted) => $wanted,
            is_infinite($known) => -$known,
            default => $wanted - $known,
        };
    }
}
