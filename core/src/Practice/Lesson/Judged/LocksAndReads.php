<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\ReadingTaken;
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
        $remarks = [];
        foreach ($attempt->job()->progress->items as $items) {
            foreach ($items as $item) {
                if ($item->topic() === ItemTopic::Lock && ! $item->done) {
                    $remarks[] = new Remark(2.5, "Left undone: {$item->label}.");
                }
            }
        }
        $locked = $read = -1;
        foreach ($attempt->moments() as $place => $moment) {
            $locked = $moment->deed instanceof Confirmed && $moment->deed->adjuster !== null ? $place : $locked;
            $read = $moment->deed instanceof ReadingTaken ? $place : $read;
        }
        if ($locked > $read && $attempt->lesson->points() !== []) {
            $remarks[] = new Remark(2.5, 'It was not read again after it was locked.', $locked);
        }

        return new SkillScore(Skill::Locked, $remarks, $remarks === [] ? 'Locked, and what was read again holds.' : 'Lock it, then read it again: a lock may turn what it holds.');
    }
}
