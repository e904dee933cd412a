<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

use VividPull\Core\Quantity\StepUnit;

/** What one job moved an adjuster by: the memory of a control that has no figure to remember. */
final readonly class Taken
{
    /** @param  float  $slack  taken up, in the adjuster's own steps; below zero where slack was given */
    public function __construct(
        public string $day,
        public string $adjuster,
        public string $name,
        public StepUnit $unit,
        public float $slack,
        /** Whether the job was signed as fit for use. */
        public bool $endedFit,
    ) {}
}
