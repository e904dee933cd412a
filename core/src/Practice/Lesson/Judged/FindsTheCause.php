<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Practice\Control\Fault;
use VividPull\Core\Practice\Control\Seat;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Moment;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;
use VividPull\Core\Procedure\Cure;

/** What was wrong beside the setting was found, and nothing that was sound was changed. */
final readonly class FindsTheCause implements Judged
{
    public static function in(Attempt $attempt): ?SkillScore
    {
        $remarks = [...self::wasted($attempt), ...self::leftUnhooked($attempt)];
        $faults = $attempt->lesson->found->faults;
        if ($faults === [] && $remarks === []) {
            return null;
        }
        foreach ($faults as $fault) {
            if ($fault->cure() !== null && $attempt->control()->has($fault)) {
                $remarks[] = new Remark(8.0, "It was not found: {$fault->label()}.");
            }
        }
        $names = implode(', ', array_map(static fn (Fault $one): string => $one->label(), $faults));

        return new SkillScore(Skill::Cause, $remarks, match (true) {
            $faults === [] => 'Nothing was wrong with it but its setting.',
            $remarks === [] => "Found: {$names}.",
            default => "What was wrong: {$names}.",
        });
    }

    /** @return list<Remark> */
    private static function leftUnhooked(Attempt $attempt): array
    {
        $ends = $attempt->control()->ends();
        $beside = in_array(Fault::OffSeat, $attempt->lesson->found->faults, true) ? null : $ends->beside();

        return array_values(array_filter([
            $ends->off() === null ? null : new Remark(8.0, "{$ends->off()} the cable was left off its hook."),
            $beside === null ? null : new Remark(8.0, "{$beside} the end was left on the edge of its seat."),
        ]));
    }

    /** @return list<Remark> */
    private static function wasted(Attempt $attempt): array
    {
        $remarks = [];
        foreach ($attempt->moments() as $place => $moment) {
            if (self::isTakenFromItsSeat($moment)) {
                $remarks[] = new Remark(
                    3.0,
                    "{$moment->before->ends()->labels()[$moment->deed->about]} the end sat in its seat, and was taken out.",
                    $place,
                );
            }
            if ($moment->deed instanceof Act && $moment->deed->kind === ActKind::Cure) {
                $cure = Cure::from($moment->deed->about);
                if (array_filter(
                    $attempt->lesson->found->faults,
                    static fn (Fault $one): bool => $one->cure() === $cure && $moment->before->has($one),
                ) === []) {
                    $remarks[] = new Remark(3.0, "Nothing was wrong there: {$cure->label()}.", $place);
                }
            }
        }

        return $remarks;
    }

    /** @phpstan-assert-if-true Act $moment->deed */
    private static function isTakenFromItsSeat(Moment $moment): bool
    {
        return $moment->deed instanceof Act && $moment->deed->kind === ActKind::Hook
            && $moment->before->ends()->seat($moment->deed->about) === Seat::Home
                && $moment->seen->word !== Seat::Home->value;
    }
}
