<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

/** One way to answer an item: the word typed on the bench line, the words on the button, and the entry it writes. */
final readonly class Answer
{
    /** @param  array<string, mixed>  $body  of the entry, as it goes over the wire */
    public function __construct(
        public string $word,
        public string $label,
        public EntryKind $kind,
        public array $body,
        public AnswerTone $tone = AnswerTone::Plain,
        /** Whether a remark belongs to it. */
        public bool $asksRemark = false,
        /** What the remark answers, where it is not just what was seen. */
        public ?string $question = null,
    ) {}
}
