<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** A remark. */
final readonly class Noted extends Entry
{
    private const OF_A_SEARCH = 'Looking for the cause, ';

    public function __construct(Stamp $stamp, public string $text)
    {
        parent::__construct($stamp);
    }

    public static function draft(string $text): Draft
    {
        return new Draft(EntryKind::Note, ['text' => $text]);
    }

    /**
     * What somebody felt and saw while a cause was looked for.
     *
     * @param  list<string>  $said  what was asked, and the answer to it
     */
    public static function ofSearch(string $by, array $said): string
    {
        return self::OF_A_SEARCH."{$by}: ".implode('; ', $said).'.';
    }

    /** What may be read out of it: of what was answered in a search nothing, a no stands there as well as a yes. */
    public function ownWords(): string
    {
        return str_starts_with($this->text, self::OF_A_SEARCH) ? '' : $this->text;
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        return new self($stamp, $body->object(['text'])->at('text')->string(self::LONGEST_REASON));
    }

    public function kind(): EntryKind
    {
        return EntryKind::Note;
    }

    public function said(LogNames $names): string
    {
        return $this->text;
    }
}
