<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

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
