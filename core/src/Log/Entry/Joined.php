<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** Someone else takes part from here on. */
final readonly class Joined extends Entry
{
    public function __construct(Stamp $stamp)
    {
        parent::__construct($stamp);
    }

    public static function draft(): Draft
    {
        return new Draft(EntryKind::Joined, []);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object([]);

        return new self($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Joined;
    }

    public function said(LogNames $names): string
    {
        return "{$this->stamp->by->name} joined";
    }
}
