<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\CableComparison;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\Figure;

/** The new cable beside the old one, before anything is fitted. */
final readonly class CablesCompared extends Entry
{
    private const LONGEST_MM = 10_000;

    public function __construct(Stamp $stamp, public CableComparison $sizes)
    {
        parent::__construct($stamp);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['new_wire_mm', 'ends_alike'], ['old_wire_mm', 'old_conduit_mm', 'new_conduit_mm']);

        return new self($stamp, new CableComparison(
            $body->optionalNumber('old_wire_mm', 0, self::LONGEST_MM),
            $body->at('new_wire_mm')->number(0, self::LONGEST_MM),
            $body->optionalNumber('old_conduit_mm', 0, self::LONGEST_MM),
            $body->optionalNumber('new_conduit_mm', 0, self::LONGEST_MM),
            $body->at('ends_alike')->boolean(),
        ));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Compared;
    }

    public function said(LogNames $names): string
    {
        return 'Old and new cable compared'
            .($this->sizes->oldWire === null
                ? ''
                : ', wire showing '.Figure::shortLength($this->sizes->oldWire, 1)->bare().' and '
                    .Figure::shortLength($this->sizes->newWire, 1));
    }
}
