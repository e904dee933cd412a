<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** One line of a job's log. Never changed once written; taken back or put right only by later entries. */
abstract readonly class Entry
{
    public function __construct(public Stamp $stamp) {}

    abstract public function kind(): EntryKind;
}
