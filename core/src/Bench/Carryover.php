<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\RatioPrior;

/** What a closed job hands to the next on the same control of what it knows about the ratio. */
final readonly class Carryover
{
    /**
     * Slack that somebody gave between the last job and this one, in mm of conduit: from where each adjuster was left
     * to where it was found. What is not known to have been turned counts as not turned.
     */
    public static function givenBetween(BenchState $state): float
    {
        $given = 0.0;
        foreach ($state->run->playAdjusters() as $id => $adjuster) {
            $left = $state->facts->standing->positions[$id] ?? null;
            $found = $state->facts->adjusters->homeOf($id);
            $given += $left === null || $found === null ? 0.0 : $adjuster->slackGiven($found->minus($left));
        }

        return $given;
    }

    /**
     * What was taught, widened; where this job taught nothing, what it was given, widened again. Nothing, where a part
     * of the ratio is new, or was measured, and has taught nothing yet.
     *
     * @return array<string, RatioPrior> by reading point
     */
    public static function taught(BenchState $last): array
    {
        $fitted = $last->facts->answers->parts !== [];
        $play = $last->beliefs()->play;
        $point = $last->spec->aim?->point->value;

        return match (true) {
            $point !== null && $play->hasTaught() => [$point => $play->taught()->forNextJob($fitted)],
            $last->facts->readings->ratioFrom > 0 || $last->run->hand->isMeasuredHere => [],
            default => array_map(
                static fn (RatioPrior $prior): RatioPrior => $prior->forNextJob($fitted),
                $last->facts->standing->taught,
            ),
        };
    }
}
