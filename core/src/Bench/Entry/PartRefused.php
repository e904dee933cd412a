<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;
use VividPull\Core\Cable\Part;

/** A part that did not fit, kept so that nobody orders it again. */
final readonly class PartRefused extends Entry
{
    public function __construct(Stamp $stamp, public Part $part, public string $number)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::PartRefused;
    }
}
