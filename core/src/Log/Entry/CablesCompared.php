<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

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
