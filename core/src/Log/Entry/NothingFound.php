<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/**
 * Somebody looked where the bench said, and found nothing wrong: a reading may have been misread, so nothing read
 * before counts beside what is read after.
 */
final readonly class NothingFound extends Entry
{
    public static function draft(): Draft
    {
        return new Draft(EntryKind::NothingFound, []);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object([]);

        return new self($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::NothingFound;
    }

    public function said(LogNames $names): string
    {
        return 'Looked, nothing found: it is read anew';
    }
}
