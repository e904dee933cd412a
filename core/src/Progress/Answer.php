<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Log\Draft;

/** One way to answer an item: the word typed on the bench line, the words on the button, and the entry it writes. */
final readonly class Answer
{
    /** Letters that a beginning of the words on a button must have to be taken for it. */
    public const LEAST = 3;

    /** Words that say nothing by themselves. */
    private const EMPTY = ['the', 'one', 'not'];

    /** Words of the wire that are words of the workshop as well. */
    private const PLAIN = [
        'ok', 'yes', 'no', 'noted', 'fault', 'left', 'mended', 'right', 'misread', 'leave', 'unseen', 'marked',
        'seized', 'cold', 'hot', 'cold stand', 'hot stand', 'ground', 'stand',
    ];

    public function __construct(
        public string $word,
        public string $label,
        public Draft $writes,
        public AnswerTone $tone = AnswerTone::Plain,
        /** Whether a remark belongs to it. */
        public bool $asksRemark = false,
        /** What the remark answers, where it is not just what was seen. */
        public ?string $question = null,
    ) {}

    /**
     * What is typed for it: a plain word, else the fewest words of its label that no other answer begins with.
     *
     * @param  list<self>  $all
     */
    public function hint(array $all): string
    {
        if (in_array($this->word, self::PLAIN, true)) {
            return $this->word;
        }
        $words = explode(' ', mb_strtolower($this->label));
        for ($many = 1; $many <= count($words); $many++) {
            $typed = rtrim(implode(' ', array_slice($words, 0, $many)), ',:');
            $alike = array_filter(
                $all,
                static fn (self $one): bool => str_starts_with(mb_strtolower($one->label), $typed),
            );
            if (mb_strlen($typed) >= self::LEAST && ! in_array($typed, self::EMPTY, true) && count($alike) === 1) {
                return $typed;
            }
        }

        return $this->word;
    }
}
