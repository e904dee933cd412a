<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Spec;

/**
 * What holds no more by itself in a job that lay open: what was said of heat and of safety, and what its spec said.
 * Common practice, no source; the hours are ours.
 */
final readonly class LeftOpen
{
    /** So long after the last entry somebody else may have been at the machine. */
    private const LIES_H = 4.0;

    /**
     * That nobody knows whether it is still safe; null where somebody was at it not long ago, or the job is closed.
     *
     * @param  string  $now  RFC 3339
     */
    public static function lies(BenchState $state, string $now): ?string
    {
        $hours = self::hours(
            max(array_map(
                static fn (Entry $one): int => (int) strtotime($state->log->happenedAt($one)),
                $state->log->entries,
            )),
            $now,
        );

        return $state->facts->closed !== null || $hours < self::LIES_H ? null
            : 'Nothing was logged here for '.Figure::hours($hours)
                .'. Make it safe again before hands go near it: what was said then may not hold now.';
    }

    /**
     * That an engine which was called hot has cooled since, where play is read whose figure knows heat; else null.
     *
     * @param  string  $now  RFC 3339
     */
    public static function cooled(BenchState $state, string $now): ?string
    {
        $noted = $state->facts->answers->condition;
        if (! $state->spec->heatMatters() || $noted?->engine !== EngineHeat::Hot) {
            return null;
        }
        $hours = self::hours((int) strtotime($state->log->happenedAt($noted)), $now);

        return $hours * 60 < Cooling::COLD_AFTER_MINUTES ? null
            : 'It was called hot '.Figure::hours($hours)
                .' ago, and has cooled since. Say again how it stands, before play is read.';
    }

    /** That its spec was changed since the job began: a job is judged by what it began with. */
    public static function otherSpec(Spec $began, Spec $now): string
    {
        $figures = $began->say() === $now->say()
            ? ' The figure is the same, and something else in it is not.'
            : " It began with {$began->say()}, and its spec says {$now->say()} now.";

        return "Its spec was changed since this job began, and the job is judged by the old one.{$figures} Hold it against the new one before you sign.";
    }

    private static function hours(int $since, string $now): float
    {
        return ((int) strtotime($now) - $since) / 3600;
    }
}
