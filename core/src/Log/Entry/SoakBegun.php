<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;

/** New friction plates were laid in oil. */
final readonly class SoakBegun extends Entry
{
    public function kind(): EntryKind
    {
        return EntryKind::Soak;
    }
}
