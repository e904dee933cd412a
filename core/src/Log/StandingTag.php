<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Log\Entry\Tagged;

/** A "do not run" that stands on the machine: why, since when, by whom. */
final readonly class StandingTag
{
    public function __construct(public string $reason, public string $at, public string $by) {}

    public static function of(Tagged $tagged): self
    {
        return new self($tagged->reason, $tagged->stamp->at, $tagged->stamp->by->name);
    }
}
