<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson\Judged;

use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Log\Entry\Tagged;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;

/** Each proof was tried, in each pose it is tried in. A machine that is tagged needs no more of them. */
final readonly class TriesEverything implements Judged
{
    public static function in(Attempt $attempt): ?SkillScore
    {
        $gates = $attempt->job()->judgement->gates;
        if ($gates === [] || $attempt->last() instanceof Tagged) {
            return null;
        }
        $untried = array_filter($gates, static fn (GateState $one): bool => $one->status === GateStatus::Unknown);
        $costs = Skill::Proofs->weight() / count($gates);
        $remarks = array_values(array_map(
            static fn (GateState $one): Remark => new Remark($costs, $one->sentence),
            $untried,
        ));

        return new SkillScore(
            Skill::Proofs,
            $remarks,
            $remarks === [] ? 'Everything that has to be tried was tried.' : 'What was not tried is not known.',
        );
    }
}
