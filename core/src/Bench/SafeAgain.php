<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Family\Families;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Progress\ItemKind;

/**
 * What was made safe in the morning is not safe after it ran: that is said before hands go near it again, and until
 * they were. Common practice, no source.
 */
final readonly class SafeAgain
{
    /** Lines of making safe that are said again: what keeps it from starting, and what must stand still. */
    private const LINES = 2;

    /** What a hand did at the machine. */
    private const BY_HAND = [
        EntryKind::Confirmed, EntryKind::AllConfirmed, EntryKind::Inspected, EntryKind::Cover, EntryKind::Thread,
        EntryKind::Reading, EntryKind::Outcome, EntryKind::Measure, EntryKind::Trace,
        EntryKind::Move, EntryKind::Step, EntryKind::Part, EntryKind::Adjuster, EntryKind::Hand, EntryKind::PutRight,
        EntryKind::Replacing, EntryKind::Compared, EntryKind::Check,
    ];

    public static function isByHand(EntryKind $kind): bool
    {
        return in_array($kind, self::BY_HAND, true);
    }

    /** Whether a hand at the machine is what is asked for next, and not a run or a signature. */
    public static function isHandNext(BenchState $state): bool
    {
        $item = $state->facts->closed === null ? $state->progress->asks() : null;

        return $item !== null && $item->kind !== ItemKind::SignOff && ! RunsTheMachine::asked($state);
    }

    /** The sentence, or null where nothing ran last in this job, or no hand is next. */
    public static function said(BenchState $state): ?string
    {
        return self::isHandNext($state) && self::ranLast($state) ? 'It ran. '.self::lines($state) : null;
    }

    /** @param  string  $control  for which it ran in another job, as it stands within a sentence */
    public static function ranFor(string $control, BenchState $state): string
    {
        return "It ran for the {$control}. ".self::lines($state);
    }

    private static function lines(BenchState $state): string
    {
        $lines = array_map(
            static fn (Step $one): string => lcfirst($one->label),
            array_slice(Families::of($state->spec->family)->makeSafe(), 0, self::LINES),
        );

        return 'Before hands go near it again: '.implode('; ', $lines).'.';
    }

    private static function ranLast(BenchState $state): bool
    {
        foreach (array_reverse($state->log->effective()) as $entry) {
            if (self::isByHand($entry->kind())) {
                return RunsTheMachine::entry($state, $entry);
            }
        }

        return false;
    }
}
