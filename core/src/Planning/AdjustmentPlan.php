<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Spec\SettingMode;

/** The moves that bring the control right, in the order in which they are made, and why these. */
final readonly class AdjustmentPlan
{
    /** @param  non-empty-list<AdjusterAdvice>  $steps  each with the reading to expect after it and those before */
    public function __construct(
        public array $steps,
        public SettingMode $mode,
        public ?string $why,
        /** The best plan that turns other adjusters; null where there is none. */
        public ?string $runnerUp,
        /** Slack that all of it gives together, in mm of conduit. */
        public float $shift,
        /** Whether it goes past and comes back, so as to end the same way as the last move. */
        public bool $finishesAlike = false,
        /** Steps of it that are done. */
        public int $done = 0,
    ) {}

    /**
     * The same, of which so many steps are done.
     *
     * @param  non-empty-list<AdjusterAdvice>  $left
     */
    public function from(array $left, int $done): self
    {
        return new self($left, $this->mode, $this->why, $this->runnerUp, $this->shift, $this->finishesAlike, $done);
    }
}
