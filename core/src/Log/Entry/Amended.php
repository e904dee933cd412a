<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Errors\BadFile;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** An earlier entry is put right, at its place. */
final readonly class Amended extends Entry
{
    public function __construct(Stamp $stamp, public string $entry, public Entry $becomes, public string $reason)
    {
        parent::__construct($stamp);
    }

    /** @param  Draft  $becomes  what the entry should have said */
    public static function draft(string $entry, Draft $becomes, string $reason): Draft
    {
        return new Draft(
            EntryKind::Amend,
            ['entry' => $entry, 'kind' => $becomes->kind->value, 'body' => $becomes->body, 'reason' => $reason],
        );
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['entry', 'kind', 'body', 'reason']);
        $target = $body->at('entry')->string(40);
        $kind = $body->at('kind')->enum(EntryKind::class);
        if ($kind === EntryKind::Amend) {
            throw BadFile::at($body->at('kind')->path, 'an amendment cannot become an amendment.');
        }
        $becomes = $with->entry($kind, $body->at('body'), new Stamp($target, $stamp->at, $stamp->by));

        return new self($stamp, $target, $becomes, self::reason($body));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Amend;
    }

    public function said(LogNames $names): string
    {
        return 'Put an entry right: '.$this->becomes->said($names).'. '.$this->reason;
    }
}
