<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\MeasureTaken;

/** What was measured, and at which setting of the control. */
final readonly class SeenMeasure
{
    public function __construct(public MeasureTaken $entry, public int $moves, public int $setting) {}
}
