<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** The job is signed and over. */
final readonly class Closed extends Entry
{
    public function __construct(Stamp $stamp, public ClosingOutcome $outcome, public ?string $nextCheck)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Closed;
    }
}
