<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Part;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** A new part was fitted: nothing read before compares with what is read after. */
final readonly class PartFitted extends Entry
{
    public function __construct(Stamp $stamp, public Part $part, public ?string $remark)
    {
        parent::__construct($stamp);
    }

    public static function draft(Part $part): Draft
    {
        return new Draft(EntryKind::Part, ['part' => $part->value]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['part'], ['remark']);

        return new self($stamp, $body->at('part')->enum(Part::class), self::remark($body));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Part;
    }

    public function said(LogNames $names): string
    {
        return self::withRemark("New {$this->part->label()} fitted", $this->remark);
    }
}
