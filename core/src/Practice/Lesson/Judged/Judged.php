<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\SkillScore;

/** One skill, judged in an attempt. */
interface Judged
{
    /** Null where the lesson could not show it. */
    public static function in(Attempt $attempt): ?SkillScore;
}
