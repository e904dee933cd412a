<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Part;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** A new part was fitted: nothing read before compares with what is read after. */
final readonly class PartFitted extends Entry
{
    public function __construct(Stamp $stamp, public Part $part, public ?string $remark)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Part;
    }
}
