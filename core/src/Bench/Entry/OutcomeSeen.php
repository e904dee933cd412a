<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;

/** What the machine did at one setting. */
final readonly class OutcomeSeen extends Entry
{
    public function __construct(Stamp $stamp, public string $setting, public string $saw)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Outcome;
    }
}
