<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** A picture was taken and kept: of a route, a hole, a fitting. */
final readonly class PhotoTaken extends Entry
{
    public function __construct(Stamp $stamp, public string $photo, public string $of)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Photo;
    }
}
