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
     * What somebody said, in as many notes as it takes: a note has 500 characters, and nothing is cut off. A sentence
     * stays in one where it can, for it is read for what stops the machine.
     *
     * @param  string  $head  who said it; each of the notes begins with it
     * @return list<Draft>
     */
    public static function told(string $head, string $words): array
    {
        $sentences = preg_split('/(?<=[.!?;])\s+/u', $words);

        return self::inNotes($head, $sentences === false ? [$words] : $sentences, ' ', '');
    }

    /**
     * What somebody felt and saw while a cause was looked for.
     *
     * @param  list<string>  $said  what was asked, and the answer to it
     * @return list<Draft>
     */
    public static function ofSearch(string $by, array $said): array
    {
        return self::inNotes(self::OF_A_SEARCH."{$by}: ", $said, '; ', '.');
    }

    /**
     * @param  list<string>  $pieces  each in one note, unless it is longer than that
     * @return list<Draft>
     */
    private static function inNotes(string $head, array $pieces, string $between, string $end): array
    {
        $room = self::LONGEST_REASON - mb_strlen($head.$end);
        $texts = [];
        $cut = array_map(static fn (string $one): array => self::cut($one, $room), $pieces);
        foreach (array_merge([], ...$cut) as $piece) {
            $last = array_key_last($texts);
            if ($last !== null && mb_strlen($texts[$last].$between.$piece) <= $room) {
                $texts[$last] .= $between.$piece;
            } else {
                $texts[] = $piece;
            }
        }

        return array_map(static fn (string $text): Draft => self::draft($head.$text.$end), $texts);
    }

    /** @return list<string> cut between words where there are any */
    private static function cut(string $text, int $room): array
    {
        $parts = [];
        for (; mb_strlen($text) > $room; $text = ltrim(mb_substr($text, $at))) {
            $space = mb_strrpos(mb_substr($text, 0, $room + 1), ' ');
            $at = $space === false || $space === 0 ? $room : $space;
            $parts[] = mb_substr($text, 0, $at);
        }

        return [...$parts, $text];
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
