<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Cable\GuideStep;
use VividPull\Core\Cable\Replacement;
use VividPull\Core\Cable\ReplacementReason;

/** A cable being replaced: why, how far it is, and how the new one compares. */
final readonly class Replacing
{
    private function __construct(public ReplacementReason $reason, public int $done, public ?CableComparison $sizes, public bool $isOver) {}

    public static function begun(ReplacementReason $reason): self
    {
        return new self($reason, 0, null, false);
    }

    public function withStepDone(): self
    {
        return new self($this->reason, $this->done + 1, $this->sizes, $this->isOver);
    }

    /** Compared anew, the newest counts; the step is done by the first. */
    public function compared(CableComparison $sizes): self
    {
        return new self($this->reason, $this->sizes === null ? $this->done + 1 : $this->done, $sizes, $this->isOver);
    }

    public function over(): self
    {
        return new self($this->reason, $this->done, $this->sizes, true);
    }

    /** The step it asks for; null where all are done and only the fitted cable is to be written down. */
    public function next(): ?GuideStep
    {
        return Replacement::steps()[$this->done] ?? null;
    }
}
