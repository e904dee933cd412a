<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** New friction plates were laid in oil. */
final readonly class SoakBegun extends Entry
{
    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object([]);

        return new self($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Soak;
    }

    public function said(LogNames $names): string
    {
        return 'New friction plates laid in oil';
    }
}
