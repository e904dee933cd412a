<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** Do not run. */
final readonly class Tagged extends Entry
{
    public function __construct(Stamp $stamp, public string $reason)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Tag;
    }
}
