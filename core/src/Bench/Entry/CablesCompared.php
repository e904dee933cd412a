<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;
use VividPull\Core\Cable\CableComparison;

/** The new cable beside the old one, before anything is fitted. */
final readonly class CablesCompared extends Entry
{
    public function __construct(Stamp $stamp, public CableComparison $sizes)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Compared;
    }
}
