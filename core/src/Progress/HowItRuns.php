<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Spec\Spec;

/** How what an item asks for is tried: at rest, with covers off, or with all of it back on. */
final readonly class HowItRuns
{
    /** Null where it is no trial. */
    public static function item(StageItem $item, Spec $spec, Run $run, Facts $facts, Judgement $judgement): ?Running
    {
        $of = (string) ItemKey::of($item->key)->of;

        return match ($item->topic()) {
            ItemTopic::Check, ItemTopic::Found => $facts->proof(explode('/', $of, 2)[0], $spec, $run)?->running,
            ItemTopic::Measure => $item->measure === null
                ? null
                : $judgement->measure($item->measure)?->measure->running,
            ItemTopic::Outcome => self::outcome($of, $spec, $judgement),
            default => null,
        };
    }

    /** Of one setting of a table. */
    public static function outcome(string $setting, Spec $spec, Judgement $judgement): ?Running
    {
        $isTried = isset($judgement->table?->table->settings[$setting]);

        return $isTried && Families::of($spec->family)->runsItsTable() ? Running::Refitted : null;
    }
}
