<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

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
