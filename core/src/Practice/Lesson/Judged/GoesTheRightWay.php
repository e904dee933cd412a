<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\ActKind;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;
use VividPull\Core\Practice\Lesson\Turn;

/**
 * Turned the way that brings it nearer, and not past it. What the bench's own advice came to, from what was rightly
 * read, is nobody's fault.
 */
final readonly class GoesTheRightWay implements Judged
{
    public static function in(Attempt $attempt): ?SkillScore
    {
        $turns = Turn::allOf($attempt);
        if ($turns === []) {
            return null;
        }
        $remarks = self::guesses($attempt);
        foreach ($turns as $turn) {
            $name = $attempt->lesson->run->adjuster($turn->adjuster)?->name() ?? $turn->adjuster;
            $remark = match (true) {
                $turn->isWrongWay() => new Remark(
                    2.5,
                    "The {$name} was turned the wrong way: it went further out.",
                    $turn->deed,
                ),
                $turn->isTooFar() => new Remark(
                    2.5,
                    "The {$name} was turned too far: in at one edge of the band and out at the other.",
                    $turn->deed,
                ),
                default => null,
            };
            if ($remark !== null && ! $turn->isAdvised()) {
                $remarks[] = $remark;
            }
        }

        return new SkillScore(
            Skill::Direction,
            $remarks,
            $remarks === []
                ? 'Each turn went the right way.'
                : 'Before you turn, say aloud: out takes slack away, in gives it back.',
        );
    }

    /** @return list<Remark> */
    private static function guesses(Attempt $attempt): array
    {
        $remarks = [];
        foreach ($attempt->moments() as $place => $moment) {
            $act = $moment->deed;
            if ($act instanceof Act && $act->kind === ActKind::Guess && $act->steps !== null) {
                $then = clone $moment->before;
                $then->turn($act->about, $act->steps);
                if (
                    array_sum(array_map(abs(...), $then->errors())) > array_sum(array_map(
                        abs(...),
                        $moment->before->errors(),
                    ))
                    + 1e-6
                ) {
                    $remarks[] = new Remark(
                        1.0,
                        'What you said you would turn would have taken it further out.',
                        $place,
                    );
                }
            }
        }

        return $remarks;
    }
}
