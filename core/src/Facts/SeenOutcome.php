<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\OutcomeSeen;

/** What was seen at a setting, and how everything stood then. */
final readonly class SeenOutcome
{
    public function __construct(public OutcomeSeen $entry, public int $moves, public int $setting, public int $series) {}
}
