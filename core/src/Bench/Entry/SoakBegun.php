<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;

/** New friction plates were laid in oil. */
final readonly class SoakBegun extends Entry
{
    public function kind(): EntryKind
    {
        return EntryKind::Soak;
    }
}
