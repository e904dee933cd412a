<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** Someone else takes part from here on. */
final readonly class Joined extends Entry
{
    public function __construct(Stamp $stamp)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Joined;
    }
}
