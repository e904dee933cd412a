<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** An earlier entry is taken back, as if it had never been. */
final readonly class Voided extends Entry
{
    public function __construct(Stamp $stamp, public string $entry, public string $reason)
    {
        parent::__construct($stamp);
    }

    public static function draft(string $entry, string $reason): Draft
    {
        return new Draft(EntryKind::Void, ['entry' => $entry, 'reason' => $reason]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['entry', 'reason']);

        return new self($stamp, $body->at('entry')->string(40), self::reason($body));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Void;
    }

    public function said(LogNames $names): string
    {
        return "Took an entry back: {$this->reason}";
    }
}
