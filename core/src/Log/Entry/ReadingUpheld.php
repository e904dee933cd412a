<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** A person stands by a reading that was asked about: it is right as it was typed. */
final readonly class ReadingUpheld extends Entry
{
    public function __construct(Stamp $stamp, public string $reading)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Upheld;
    }
}
