<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** A remark. */
final readonly class Noted extends Entry
{
    public function __construct(Stamp $stamp, public string $text)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Note;
    }
}
