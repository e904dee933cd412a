<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;

/** An earlier entry is taken back, as if it had never been. */
final readonly class Voided extends Entry
{
    public function __construct(Stamp $stamp, public string $entry, public string $reason)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Void;
    }
}
