<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Cable\GuideStep;
use VividPull\Core\Cable\Replacement;
use VividPull\Core\Cable\ReplacementReason;

/** A cable being replaced: why, which of its steps are done, and how the new one compares. */
final readonly class Replacing
{
    /** @param  array<string, true>  $done  by step */
    private function __construct(public ReplacementReason $reason, private array $done, public ?CableComparison $sizes, public bool $isOver) {}

    public static function begun(ReplacementReason $reason): self
    {
        return new self($reason, [], null, false);
    }

    public function withStepDone(string $key): self
    {
        return new self($this->reason, [$key => true] + $this->done, $this->sizes, $this->isOver);
    }

    /** Compared anew, the newest counts. */
    public function compared(CableComparison $sizes): self
    {
        return new self($this->reason, [Replacement::COMPARE => true] + $this->done, $sizes, $this->isOver);
    }

    public function over(): self
    {
        return new self($this->reason, $this->done, $this->sizes, true);
    }

    public function isDone(GuideStep $step): bool
    {
        return isset($this->done[$step->key]);
    }

    /** The first step that is not done, one that was taken back too; null where only the fitted cable is to be written down. */
    public function next(): ?GuideStep
    {
        foreach (Replacement::steps() as $step) {
            if (! $this->isDone($step)) {
                return $step;
            }
        }

        return null;
    }
}
