<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Facts\MoveMade;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Log\Entry\Amended;
use VividPull\Core\Log\Entry\Voided;
use VividPull\Core\Planning\AdjustmentPlan;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\PlanOutcome;
use VividPull\Core\Planning\ShiftWindow;

/**
 * A plan of several steps goes on where its first ones were done just as it said: the next step is shown without a
 * reading in between, unless a reading could change what comes next. Nothing of it is stored: what was advised before
 * those moves is worked out again.
 */
final readonly class PlanUnderWay
{
    /** The next step of the plan; null where none is under way. */
    public static function of(BenchState $state): ?PlanOutcome
    {
        $facts = $state->facts;
        $last = $facts->readings->groups[count($facts->readings->groups) - 1] ?? null;
        $done = $last === null ? 0 : count($facts->readings->moves) - $last->at->moves;
        if ($done < 1 || self::isBroken($state, $last, $done)) {
            return null;
        }
        $before = self::before($state, $facts->readings->moves[$last->at->moves]);
        $advised = $before?->next();
        $plan = $advised?->plan;
        if (
            $advised === null
            || $plan === null
            || count($plan->steps) <= $done
            || ! self::isDone($plan, array_slice($facts->readings->moves, $last->at->moves))
        ) {
            return null;
        }
        $left = array_slice($plan->steps, $done);
        assert($left !== []);
        $end = $left[count($left) - 1];

        return ($end->chance ?? 0.0) < ShiftWindow::SURE && ! $plan->finishesAlike ? null
            : PlanOutcome::choose(
                PlanKind::Move,
                $left[0]->sentence,
                [$left[0]->adjuster => $left[0]] + $advised->options,
                $left[0]->adjuster,
                $advised->target,
                $plan->from($left, $done),
            );
    }

    /** Whether anything else was done since the last reading than these moves. */
    private static function isBroken(BenchState $state, ReadingGroup $last, int $done): bool
    {
        $readings = $state->facts->readings;

        return $state->cable->isSecond
            || $state->facts->closed !== null
            || $last->doubt !== null
            || $readings->series !== $last->at->series
            || $readings->setting !== $readings->movedAt
            || $readings->setting !== $last->at->setting + $done
            || $state->facts->guideUnderWay($state->run) !== null;
    }

    /**
     * The bench as it stood before a move; null where something since was taken back or put right, for then nobody was
     * shown it so.
     */
    private static function before(BenchState $state, MoveMade $move): ?BenchState
    {
        $place = $state->log->places[$move->entry->stamp->id] ?? 0;
        foreach (array_slice($state->log->entries, $place) as $entry) {
            if ($entry instanceof Voided || $entry instanceof Amended) {
                return null;
            }
        }

        return $place < 1 ? null : Bench::replay($state->spec, $state->run, $state->log->prefix($place));
    }

    /** @param  list<MoveMade>  $moves */
    private static function isDone(AdjustmentPlan $plan, array $moves): bool
    {
        foreach ($moves as $place => $move) {
            $step = $plan->steps[$place];
            if (
                $move->crossed
                || $move->entry->adjuster !== $step->adjuster
                || $move->entry->steps?->count !== $step->steps?->count
            ) {
                return false;
            }
        }

        return true;
    }
}
