<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

/** Something to do otherwise next time, and where. */
final readonly class Remark
{
    public function __construct(
        /** What it costs, in points of its skill. */
        public float $costs,
        public string $sentence,
        /** The deed it belongs to, counted from 0; null where it is about something that was not done. */
        public ?int $deed = null,
    ) {}
}
