<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Part;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

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
