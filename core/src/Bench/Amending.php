<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Errors\Refused;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\Amended;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\ConditionNoted;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\Person;
use VividPull\Core\Quantity\NotUnderstood;

/** What an entry should have said, typed as a bench line and read as if what was shown then were shown now. */
final readonly class Amending
{
    /**
     * @throws NotUnderstood If the line means nothing in the place of that entry.
     * @throws Refused If there is no such entry, or the line would make another kind of it.
     */
    public static function read(string $line, string $id, string $reason, BenchState $state, Person $by): Draft
    {
        $entry = $state->log->find($id) ?? throw Refused::because('The entry to be changed is not in this job.');
        if (
            ($entry instanceof OutcomeSeen || $entry instanceof MeasureTaken)
            && $state->progress->item(self::shown($entry)->item ?? '') === null
        ) {
            throw Refused::because('That entry is not typed on the line. Take it back and log it anew.');
        }
        $becomes = BenchLine::read($line, self::shown($entry), $state, $by, true);
        if ($becomes->kind !== $entry->kind()) {
            throw Refused::because(
                "That line would be a {$becomes->kind->value}, and the entry is a {$entry->kind()->value}. Take it back and log it anew.",
            );
        }

        return Amended::draft($id, $entry instanceof ReadingTaken ? $entry->saidAnew($becomes) : $becomes, $reason);
    }

    private static function shown(Entry $entry): Shown
    {
        return match (true) {
            $entry instanceof ReadingTaken => new Shown(
                null,
                null,
                $entry->pose,
                $entry->point,
                $entry->instrument,
                null,
            ),
            $entry instanceof Moved => new Shown($entry->adjuster, null, null, null, null, null),
            $entry instanceof ThreadNoted => new Shown(
                $entry->adjuster,
                null,
                null,
                null,
                null,
                "thread:{$entry->adjuster}",
            ),
            $entry instanceof Checked => new Shown(
                null,
                null,
                null,
                null,
                null,
                'check:'.Facts::checkKey($entry->key, $entry->pose?->value),
            ),
            $entry instanceof Inspected => new Shown(null, null, null, null, null, $entry->key),
            $entry instanceof ConditionNoted => new Shown(null, null, null, null, null, 'condition'),
            $entry instanceof OutcomeSeen => new Shown(null, null, null, null, null, "outcome:{$entry->setting}"),
            $entry instanceof MeasureTaken => new Shown(null, null, null, null, null, "measure:{$entry->key->value}"),
            default => throw Refused::because(
                "An entry of the kind {$entry->kind()->value} cannot be put right. Take it back and log it anew.",
            ),
        };
    }
}
