<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;

/** An earlier entry is put right, at its place. */
final readonly class Amended extends Entry
{
    public function __construct(Stamp $stamp, public string $entry, public Entry $becomes, public string $reason)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Amend;
    }
}
