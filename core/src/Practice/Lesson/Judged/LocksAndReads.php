<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;
use VividPull\Core\Practice\Lesson\Turn;
use VividPull\Core\Progress\ItemTopic;

/** Locked after the last turn, and read again, since a lock may turn what it holds. */
final readonly class LocksAndReads implements Judged
{
    public static function in(Attempt $attempt): ?SkillScore
    {
        if (Turn::allOf($attempt) === []) {
            return null;
        }
        $remarks = Undone::of($attempt, ItemTopic::Lock);
        $turned = $locked = $read = -1;
        foreach ($attempt->moments() as $place => $moment) {
            $turned = $moment->deed instanceof Act && self::turnsAThread($attempt, $moment->deed) ? $place : $turned;
            $locked = $moment->deed instanceof Confirmed && $moment->deed->adjuster !== null ? $place : $locked;
            $read = $moment->deed instanceof ReadingTaken || $moment->deed instanceof MeasureTaken ? $place : $read;
        }
        if ($remarks === [] && $turned > $locked) {
            $remarks[] = new Remark(2.5, 'It was not locked after it was turned last.', $turned);
        }
        if ($locked > $read && $attempt->lesson->points() !== []) {
            $remarks[] = new Remark(2.5, 'It was not read again after it was locked.', $locked);
        }

        return new SkillScore(
            Skill::Locked,
            $remarks,
            $remarks === []
                ? 'Locked, and what was read again holds.'
                : 'Lock it, then read it again: a lock may turn what it holds.',
        );
    }

    private static function turnsAThread(Attempt $attempt, Act $act): bool
    {
        return $act->kind === ActKind::Turn
            && $attempt->lesson->run->adjuster($act->about)?->kind()->isThreaded() === true;
    }
}
