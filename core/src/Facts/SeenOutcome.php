<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\OutcomeSeen;

/** What was seen at a setting, how everything stood then, and whether a cover was off that should have been on. */
final readonly class SeenOutcome
{
    public function __construct(
        public OutcomeSeen $entry,
        public int $moves,
        public int $setting,
        public int $series,
        public bool $ranOpen,
    ) {}
}
