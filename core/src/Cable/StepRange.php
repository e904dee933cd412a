<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\Steps;

/** Positions from one to another, both included, counted out from fully in. */
final readonly class StepRange
{
    private function __construct(public Steps $from, public Steps $to) {}

    /** @throws OutOfRange If the range runs backward. */
    public static function between(Steps $from, Steps $to): self
    {
        if ($to->count < $from->count) {
            throw OutOfRange::positive('The length of a range of turns', $to->minus($from)->toFloat());
        }

        return new self($from, $to);
    }

    /** The same, with where it stands: what stands outside may stay there, or come back. */
    public function reaching(Steps $at): self
    {
        return new self(
            Steps::fromCount(min($this->from->count, $at->count)),
            Steps::fromCount(max($this->to->count, $at->count)),
        );
    }

    /** Whether one position lies nearer to the range than the other. */
    public function isNearer(Steps $one, ?Steps $other): bool
    {
        return $other !== null && $this->away($one) < $this->away($other);
    }

    /** 720ths of a turn from a position to the nearest of these. */
    public function away(Steps $position): int
    {
        return max(0, $this->from->count - $position->count, $position->count - $this->to->count);
    }

    /** All of it moved by so much. */
    public function movedBy(Steps $steps): self
    {
        return new self($this->from->plus($steps), $this->to->plus($steps));
    }

    /** What lies in both; null where nothing does. */
    public function within(self $other): ?self
    {
        $from = max($this->from->count, $other->from->count);
        $to = min($this->to->count, $other->to->count);

        return $to < $from ? null : new self(Steps::fromCount($from), Steps::fromCount($to));
    }

    /** From one end to the other. */
    public function length(): Steps
    {
        return $this->to->minus($this->from);
    }

    public function contains(Steps $position): bool
    {
        return $position->count >= $this->from->count && $position->count <= $this->to->count;
    }
}
