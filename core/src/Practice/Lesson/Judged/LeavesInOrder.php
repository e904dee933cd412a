<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;
use VividPull\Core\Practice\Lesson\Turn;
use VividPull\Core\Progress\ItemTopic;

/** The quick adjuster is left where the next hand can use it. */
final readonly class LeavesInOrder implements Judged
{
    public static function in(Attempt $attempt): ?SkillScore
    {
        if (Turn::allOf($attempt) === []) {
            return null;
        }
        $remarks = Undone::of($attempt, ItemTopic::Home);
        foreach ($attempt->control()->coversOff() as $cover) {
            $remarks[] = new Remark(2.5, "The {$cover} was left off.");
        }

        return new SkillScore(
            Skill::Order,
            $remarks,
            $remarks === []
                ? 'Thread is left where the next hand needs it.'
                : 'The next hand has to find thread to turn, either way, and every cover in its place.',
        );
    }
}
