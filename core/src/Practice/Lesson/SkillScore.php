<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

/** How one skill was shown in an attempt. */
final readonly class SkillScore
{
    /** @param  list<Remark>  $remarks */
    public function __construct(
        public Skill $skill,
        public array $remarks,
        /** What was well, or how it stands, in a sentence. */
        public string $sentence,
    ) {}

    /** Never below nothing. */
    public function points(): float
    {
        return max(
            0.0,
            $this->skill->weight()
                - array_sum(array_map(static fn (Remark $one): float => $one->costs, $this->remarks)),
        );
    }
}
