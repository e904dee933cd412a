<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Finding;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** What was found when a part was looked over. */
final readonly class Inspected extends Entry
{
    public function __construct(Stamp $stamp, public string $key, public Finding $finding, public ?string $remark)
    {
        parent::__construct($stamp);
    }

    public static function draft(string $key, Finding $finding): Draft
    {
        return new Draft(EntryKind::Inspected, ['key' => $key, 'finding' => $finding->value]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['key', 'finding'], ['remark']);

        return new self(
            $stamp,
            $body->at('key')->string(40),
            $body->at('finding')->enum(Finding::class),
            self::remark($body),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Inspected;
    }

    public function said(LogNames $names): string
    {
        return $names->inspection($this->key).': '.$this->finding->value
            .($this->remark === null ? '' : ", {$this->remark}");
    }
}
