<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** The reading is left outside its band by choice. */
final readonly class LeftByChoice extends Entry
{
    public function __construct(Stamp $stamp, public string $reason)
    {
        parent::__construct($stamp);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        return new self($stamp, self::reason($body->object(['reason'])));
    }

    public function kind(): EntryKind
    {
        return EntryKind::ByChoice;
    }

    public function said(LogNames $names): string
    {
        return "Left outside by choice: {$this->reason}";
    }
}
