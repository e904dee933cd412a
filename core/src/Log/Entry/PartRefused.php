<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Part;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** A part that did not fit, kept so that nobody orders it again. */
final readonly class PartRefused extends Entry
{
    public function __construct(Stamp $stamp, public Part $part, public string $number)
    {
        parent::__construct($stamp);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['part', 'number']);

        return new self($stamp, $body->at('part')->enum(Part::class), $body->at('number')->string(60));
    }

    public function kind(): EntryKind
    {
        return EntryKind::PartRefused;
    }

    public function said(LogNames $names): string
    {
        return "Did not fit: {$this->part->label()} {$this->number}";
    }
}
