<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

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
