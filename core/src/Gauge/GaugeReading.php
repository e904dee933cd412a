<?php

declare(strict_types=1);

namespace VividPull\Core\Gauge;

use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Unit;

/** One value that a gauge sent. */
final readonly class GaugeReading
{
    public function __construct(
        /** The figure with all its decimals and its unit, as a person would type it: `4.20 mm`, `-0.02 mm`. */
        public string $entered,
        /** In the internal unit of its dimension; below zero where the gauge was zeroed elsewhere. */
        public float $value,
        public Unit $unit,
        /** Whether the gauge says that its battery is low. */
        public bool $lowBattery,
    ) {}

    public function dimension(): Dimension
    {
        return $this->unit->dimension();
    }
}
