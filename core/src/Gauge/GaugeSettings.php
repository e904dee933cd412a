<?php

declare(strict_types=1);

namespace VividPull\Core\Gauge;

use VividPull\Core\Quantity\Unit;

/** What must be known of a gauge before its lines can be read: nothing is guessed. */
final readonly class GaugeSettings
{
    public function __construct(
        /** What a bare number is in; null where the gauge writes its unit, and a number without one is refused. */
        public ?Unit $unit = null,
        /**
         * What every line of this gauge begins with, such as `A1`, where several share one wire; a line that begins
         * otherwise is another's.
         */
        public string $before = '',
        /** Whether a force counts that the gauge says is not at rest: each of a pull is none. */
        public bool $whileMoving = false,
    ) {}

    /** The same gauge while it records a pull. */
    public function whileMoving(): self
    {
        return new self($this->unit, $this->before, true);
    }
}
