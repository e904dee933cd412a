<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

/** How far a job is at an entry: what was given and changed before it. */
final readonly class Moment
{
    public function __construct(
        /** Slack given so far, in mm of conduit. */
        public float $slack,
        /** Moves made so far. */
        public int $moves,
        /** Readings of one series compare. */
        public int $series,
        /** Goes up with every change and every lock; 0 is as found. */
        public int $setting,
    ) {}

    /** Whether nothing was changed yet. */
    public function isAsFound(): bool
    {
        return $this->moves === 0 && $this->setting === 0;
    }
}
