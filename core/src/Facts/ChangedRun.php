<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\HandControl;
use VividPull\Core\Cable\Run;
use VividPull\Core\Log\Entry\AdjusterFitted;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\HandMeasured;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Log;

/**
 * What a job makes another run of: adjusters that were fitted, and the distances of the hand control as they were
 * measured.
 */
final readonly class ChangedRun
{
    public static function by(Log $log, Run $run): Run
    {
        $voids = $log->voids();
        foreach ($log->entries as $entry) {
            $run = isset($voids[$entry->stamp->id]) ? $run : self::after($run, $entry);
        }

        return $run;
    }

    public static function after(Run $run, Entry $entry): Run
    {
        return match (true) {
            $entry instanceof AdjusterFitted => $run->fitted($entry->adjuster, $entry->cable, $entry->inPlaceOf),
            $entry instanceof HandMeasured => $run->withHand($run->hand->measuredAs($entry->wireMm, $entry->pointMm)),
            // Another lever or drum has distances of its own: what was measured was the old one.
            $entry instanceof PartFitted
                && $entry->part->startsRatioOver()
                && $run->hand->isOfMachine => $run->withHand(self::ofModel($run)),
            default => $run,
        };
    }

    private static function ofModel(Run $run): HandControl
    {
        $opened = $run->asOpened()->hand;

        return $opened->isOfMachine ? $opened->replaced() : $opened;
    }
}
