<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\Tagged;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\BestPlay;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;

/** What the machine is called at the end is what it is. */
final readonly class EndsRight implements Judged
{
    public static function in(Attempt $attempt): SkillScore
    {
        $last = $attempt->last();
        $place = count($attempt->moments()) - 1;
        $remark = match (true) {
            $last instanceof Closed => self::signed($attempt, $last, $place),
            $last instanceof Tagged => self::tagged($attempt, $place),
            default => new Remark(20.0, 'It was left without being signed or tagged.'),
        };

        return new SkillScore(Skill::End, $remark === null ? [] : [$remark], match (true) {
            $remark !== null => $remark->sentence,
            $last instanceof Tagged => 'It is tagged, and it is not fit.',
            default => 'It is signed, and it is right.',
        });
    }

    /** Whether it was signed as fit, and can hurt somebody. */
    public static function isFalselyFit(Attempt $attempt): bool
    {
        $last = $attempt->last();

        return $last instanceof Closed && $last->outcome !== ClosingOutcome::Tagged && $attempt->control()->isUnsafe();
    }

    private static function signed(Attempt $attempt, Closed $closed, int $place): ?Remark
    {
        return match (true) {
            $closed->outcome === ClosingOutcome::Tagged => self::tagged($attempt, $place),
            self::isFalselyFit($attempt) => new Remark(
                20.0,
                'It was signed, and it is not fit: that can hurt somebody.',
                $place,
            ),
            $attempt->control()->isRight() => null,
            default => new Remark(10.0, 'It was signed, and stands a little outside.', $place),
        };
    }

    private static function tagged(Attempt $attempt, int $place): ?Remark
    {
        $control = $attempt->control();
        $couldBeSet = $control->wants() === null
            && ! $control->hasWhatIsReplaced()
            && BestPlay::moves($attempt->lesson, $control) !== null;

        return match (true) {
            ! $control->isUnsafe() && $control->isRight() => new Remark(
                14.0,
                'It was tagged, and it is right.',
                $place,
            ),
            $couldBeSet => new Remark(8.0, 'It was tagged, and could have been set right.', $place),
            $control->wants() !== null => new Remark(6.0, 'It was tagged, and could have been put right here.', $place),
            default => null,
        };
    }
}
