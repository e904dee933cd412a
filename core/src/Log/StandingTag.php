<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/** A "do not run" that stands on the machine: why, since when, by whom. */
final readonly class StandingTag
{
    public function __construct(public string $reason, public string $at, public string $by) {}
}
