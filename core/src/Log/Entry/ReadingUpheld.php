<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** A person stands by a reading that was asked about: it is right as it was typed. */
final readonly class ReadingUpheld extends Entry
{
    public function __construct(Stamp $stamp, public string $reading)
    {
        parent::__construct($stamp);
    }

    public static function draft(string $reading): Draft
    {
        return new Draft(EntryKind::Upheld, ['reading' => $reading]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        return new self($stamp, $body->object(['reading'])->at('reading')->string(40));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Upheld;
    }

    public function said(LogNames $names): string
    {
        $reading = $names->entry($this->reading);

        return 'It is right: '.($reading instanceof ReadingTaken ? lcfirst($reading->said($names)) : 'a reading');
    }
}
