<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Log\Standing;

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
