<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

/** How the cable stood when a group was read, so far as comparing it with others needs. */
final readonly class ReadAt
{
    public function __construct(
        /** Slack given since the job opened, in mm of conduit. */
        public float $slack,
        /** Counts up whenever comparison with what went before is broken. */
        public int $series,
        /** Counts up with every move and every lock nut tightened: readings of an older setting are not current. */
        public int $setting,
        /** Moves made before it. */
        public int $moves,
        /** Whether someone else moved the cable between what this person saw and this reading. */
        public bool $crossed,
    ) {}

    /** As the job was opened, with nothing moved. */
    public static function opening(): self
    {
        return new self(0.0, 0, 0, 0, false);
    }
}
