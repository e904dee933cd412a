<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** Do not run. */
final readonly class Tagged extends Entry
{
    public function __construct(Stamp $stamp, public string $reason)
    {
        parent::__construct($stamp);
    }

    public static function draft(string $reason): Draft
    {
        return new Draft(EntryKind::Tag, ['reason' => $reason]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        return new self($stamp, self::reason($body->object(['reason'])));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Tag;
    }

    public function said(LogNames $names): string
    {
        return "Tagged, do not run: {$this->reason}";
    }
}
