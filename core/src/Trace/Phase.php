<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/** A stretch of a pull: from where to where, in mm from rest, and with what force at its ends, in N. */
final readonly class Phase
{
    public function __construct(
        public PhaseKind $kind,
        public float $from,
        public float $to,
        public float $fromN,
        public float $toN,
    ) {}

    /** N for each mm. */
    public function slope(): float
    {
        return ($this->toN - $this->fromN) / ($this->to - $this->from);
    }

    public function joined(self $next): self
    {
        return new self($this->kind, $this->from, $next->to, $this->fromN, $next->toN);
    }

    public function as(PhaseKind $kind): self
    {
        return new self($kind, $this->from, $this->to, $this->fromN, $this->toN);
    }
}
