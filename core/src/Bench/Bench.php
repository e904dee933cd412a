<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\Run;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Facts\ChangedRun;
use VividPull\Core\Facts\Replay;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Log;
use VividPull\Core\Planning\CableState;
use VividPull\Core\Progress\StageProgress;
use VividPull\Core\Spec\Spec;

/** The bench: a log replayed into its state, in five steps and nothing else. */
final readonly class Bench
{
    /** Goes up when a replay of the same log could give another answer. */
    public const ENGINE = '1.6.44';

    public static function replay(Spec $spec, Run $run, Log $log): BenchState
    {
        $facts = Replay::facts($spec, $run, $log);
        $run = ChangedRun::by($log, $run);
        $second = CableState::second($spec, $run, $facts);
        $first = CableState::first($spec, $run, $facts, $second);

        return new BenchState($first, $log, StageProgress::of($first, $second), $second);
    }

    /**
     * The state with one more entry.
     *
     * @param  bool  $now  whether it happens now; of what was written before, the order of work is not asked any more
     *
     * @throws Refused If the entry may not stand in this log; the sentence says why.
     */
    public static function accept(BenchState $before, Entry $entry, bool $now = true): BenchState
    {
        Acceptance::check($before, $entry);
        if ($now) {
            Acceptance::checkOrder($before, $entry);
        }
        $after = self::replay($before->spec, $before->run->asOpened(), $before->log->with($entry));
        Acceptance::checkOutcome($before, $after);

        return $after;
    }
}
