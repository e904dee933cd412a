<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;

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
