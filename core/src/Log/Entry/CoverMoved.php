<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** The cover over an adjuster came off, or went back on. */
final readonly class CoverMoved extends Entry
{
    public function __construct(Stamp $stamp, public string $adjuster, public bool $off)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Cover;
    }
}
