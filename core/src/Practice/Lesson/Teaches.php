<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Practice\Control\Fault;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\SpeedCeiling;

/** Which skill a lesson is good for, by what is true of its machine. Which trains what is ours; no source. */
final readonly class Teaches
{
    public static function is(Lesson $lesson, Skill $skill): bool
    {
        $true = $lesson->found;

        return match ($skill) {
            Skill::Safe => true,
            Skill::Reading => $lesson->spec->aim !== null,
            Skill::Word, Skill::Cause => $true->faults !== [],
            Skill::Direction => self::isTooTight($lesson) || self::isTooFast($lesson) || $true->offset !== 0.0,
            Skill::Moves => self::isOut($lesson)
                && ($lesson->mechanics->ratioFactor !== 1.0
                    || ! $lesson->isTold
                    || count($lesson->run->playAdjusters()) > 1),
            Skill::Order => array_filter(
                $lesson->run->playAdjusters(),
                static fn (Adjuster $one): bool => isset($true->at[$one->id()])
                    && ! $one->healthy()->contains(Steps::nearest($true->at[$one->id()])),
            ) !== [],
            Skill::Locked => self::isOut($lesson) && $lesson->spec->aim !== null,
            Skill::Proofs => $lesson->mechanics->poses !== [] || $true->faults !== [],
            Skill::End => array_filter($true->faults, static fn (Fault $one): bool => $one->cure() === null) !== []
                || (! self::isOut($lesson) && $true->faults === []),
        };
    }

    private static function isTooTight(Lesson $lesson): bool
    {
        return $lesson->spec->aim !== null && $lesson->found->play < $lesson->spec->aim->band->floor();
    }

    private static function isTooFast(Lesson $lesson): bool
    {
        $ceiling = $lesson->spec->other(SpeedCeiling::class);

        return $ceiling !== null && ($lesson->found->speed ?? 0.0) > $ceiling->atMostKmh;
    }

    /** Whether something has to be turned. */
    private static function isOut(Lesson $lesson): bool
    {
        return $lesson->found->offset !== 0.0
            || self::isTooFast($lesson)
            || ($lesson->spec->aim !== null && ! $lesson->spec->aim->band->contains($lesson->found->play))
            || ($lesson->spec->second !== null
                && ! $lesson->spec->second->band->contains($lesson->found->secondPlay ?? 0.0));
    }
}
