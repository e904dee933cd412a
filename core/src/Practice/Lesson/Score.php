<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

/** How an attempt went, judged by how the machine truly is. */
final readonly class Score
{
    /** At most so much where it was signed as fit and is not: that can hurt somebody. Ours. */
    public const FALSELY_FIT = 40;

    /** At most so much where most of what was answered was never tried, also where it happens to be so; ours. */
    public const GUESSED = 45;

    /** At most so much where it was not brought to an end; ours. */
    public const UNFINISHED = 50;

    /** @param  list<SkillScore>  $skills  those that the lesson could show */
    public function __construct(
        /** 0 to 100. */
        public int $total,
        public array $skills,
        public int $moves,
        /** The fewest that one who sees it needs; null where nothing that turns reaches it. */
        public ?int $fewest,
        public float $minutes,
        /**
         * mm by which readings were typed higher than the instrument showed, on average; null where there were none.
         */
        public ?float $readsHigh,
    ) {}
}
