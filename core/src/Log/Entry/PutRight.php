<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\Cure;

/** Something other than an adjuster was put right: a route, a mount, a spring. Nothing tried before counts after it. */
final readonly class PutRight extends Entry
{
    public function __construct(Stamp $stamp, public Cure $cure, public ?string $remark)
    {
        parent::__construct($stamp);
    }

    public static function draft(Cure $cure): Draft
    {
        return new Draft(EntryKind::PutRight, ['cure' => $cure->value]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['cure'], ['remark']);

        return new self($stamp, $body->at('cure')->enum(Cure::class), self::remark($body));
    }

    public function kind(): EntryKind
    {
        return EntryKind::PutRight;
    }

    public function said(LogNames $names): string
    {
        return $this->cure->label().($this->remark === null ? '' : ": {$this->remark}");
    }
}
