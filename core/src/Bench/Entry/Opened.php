<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;
use VividPull\Core\Bench\Standing;

/** The job begins: everything from history that it will be judged with is frozen here. */
final readonly class Opened extends Entry
{
    public function __construct(Stamp $stamp, public string $control, public Standing $standing)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Opened;
    }
}
