<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Procedure\GuideStep;
use VividPull\Core\Procedure\Replacement;
use VividPull\Core\Procedure\ReplacementReason;

/** A cable being replaced: why, which of its steps are done, and how the new one compares. */
final readonly class Replacing
{
    /**
     * @param  non-empty-list<GuideStep>  $steps  in their order
     * @param  array<string, bool>  $done  by step; false where it was passed, since this machine has no such thing
     */
    private function __construct(
        public ReplacementReason $reason,
        /** Which cable it is; null where there is only one. */
        public ?string $cable,
        public array $steps,
        private array $done,
        public ?CableComparison $sizes,
        public bool $isOver,
    ) {}

    /** @param  non-empty-list<GuideStep>  $steps */
    public static function begun(ReplacementReason $reason, ?string $cable, array $steps): self
    {
        return new self($reason, $cable, $steps, [], null, false);
    }

    public function withStepDone(string $key, bool $isHere = true): self
    {
        return new self(
            $this->reason,
            $this->cable,
            $this->steps,
            [$key => $isHere] + $this->done,
            $this->sizes,
            $this->isOver,
        );
    }

    /** Compared anew, the newest counts. */
    public function compared(CableComparison $sizes): self
    {
        return new self(
            $this->reason,
            $this->cable,
            $this->steps,
            [Replacement::COMPARE => true] + $this->done,
            $sizes,
            $this->isOver,
        );
    }

    public function over(): self
    {
        return new self($this->reason, $this->cable, $this->steps, $this->done, $this->sizes, true);
    }

    public function step(string $key): ?GuideStep
    {
        foreach ($this->steps as $step) {
            if ($step->key === $key) {
                return $step;
            }
        }

        return null;
    }

    public function isDone(GuideStep $step): bool
    {
        return isset($this->done[$step->key]);
    }

    /** Whether it was passed, since this machine has no such thing. */
    public function isPassed(GuideStep $step): bool
    {
        return ($this->done[$step->key] ?? null) === false;
    }

    /**
     * The first step that is not done, one that was taken back too; null where only the fitted cable is to be written
     * down.
     */
    public function next(): ?GuideStep
    {
        foreach ($this->steps as $step) {
            if (! $this->isDone($step)) {
                return $step;
            }
        }

        return null;
    }
}
