<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\ClosingOutcome;
use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;

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
