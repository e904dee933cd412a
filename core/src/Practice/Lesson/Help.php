<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

/** How much the bench says in a lesson of what it would turn. */
enum Help: string
{
    /** Its advice stands there, as in a job. */
    case Shown = 'shown';
    /** First the learner says what they would turn; then its advice stands there. */
    case Asked = 'asked';
    /** It says how the control stands, and nothing of what to turn. */
    case None = 'none';

    public function label(): string
    {
        return match ($this) {
            self::Shown => 'Advice at once',
            self::Asked => 'Own answer first, then advice',
            self::None => 'No advice',
        };
    }
}
