<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\MeasureTaken;

/** What was measured, at which setting of the control, and whether it still tells of it. */
final readonly class SeenMeasure
{
    public function __construct(
        public MeasureTaken $entry,
        public int $moves,
        public int $setting,
        /** Not once something was moved, mended or locked since, nor where it ran with something off. */
        public bool $counts = true,
    ) {}

    public function noMore(): self
    {
        return new self($this->entry, $this->moves, $this->setting, false);
    }
}
