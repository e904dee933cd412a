<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Errors\Refused;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Progress\HowItRuns;

/**
 * What is tried with the machine running. The machine is one: what runs it waits for the covers that other jobs on it
 * took off, and for tags that hang on its other controls.
 */
final readonly class RunsTheMachine
{
    /** Whether what this entry tells of was tried with the machine running. */
    public static function entry(BenchState $state, Entry $entry): bool
    {
        $running = match (true) {
            $entry instanceof Checked => self::proof($state, $entry)?->runningFor($entry->answer),
            $entry instanceof MeasureTaken => $state->judgement->measure($entry->key)?->measure->running,
            $entry instanceof OutcomeSeen => HowItRuns::outcome($entry->setting, $state->spec, $state->judgement),
            default => null,
        };

        return $running?->runs() === true;
    }

    /**
     * Whether what this entry tells of went wrong while the machine ran. What was seen is kept, whatever stood against
     * running it: a fault that nobody may write down is one that the next person meets.
     */
    public static function wentWrong(BenchState $state, Entry $entry): bool
    {
        return match (true) {
            ! self::entry($state, $entry) => false,
            $entry instanceof Checked => self::isFault($state, $entry),
            $entry instanceof OutcomeSeen => ($state->judgement->table?->table->settings[$entry->setting]->wants
                ?? null) !== $entry->saw,
            default => false,
        };
    }

    /** Whether what the job asks for next is tried with the machine running. */
    public static function asked(BenchState $state): bool
    {
        $item = $state->facts->closed === null ? $state->progress->asks() : null;
        $running = $item === null
            ? null
            : HowItRuns::item($item, $state->spec, $state->run, $state->facts, $state->judgement);

        return $running?->runs() === true;
    }

    /**
     * What failed with the machine at rest is put right before anything is run: a throttle that may stick open, a wire
     * that may part, a brake that stays off. What only shows while it runs is no reason: it is run to see that it is
     * right again.
     *
     * @throws Refused If something did.
     */
    public static function mustBeSound(BenchState $state): void
    {
        $failed = array_map(static fn (GateState $one): string => $one->sentence, $state->judgement->stopsRunning());
        if ($failed !== []) {
            throw Refused::missing(
                'This runs the machine, and it is not to be run. Put this right first, or tag it:',
                $failed,
            );
        }
    }

    /**
     * What is tried by hand comes before anything is run: a throttle that nobody let go of at rest is not let go of for
     * the first time with the engine running. How it was found may have been seen running, before anything was touched
     * (common practice, no source).
     *
     * @throws Refused If something was not tried since it was changed.
     */
    public static function mustBeTried(BenchState $state): void
    {
        $open = array_map(static fn (GateState $one): string => $one->sentence, $state->judgement->untriedAtRest());
        if ($open !== []) {
            throw Refused::missing('This runs the machine. First, with the engine off:', $open);
        }
    }

    /**
     * What a job changed, and nobody tried by hand since: no other control is tried with the machine running before
     * that. Play is not named: some of it is read warm, and an engine that is warmed for it runs.
     *
     * @return list<string> a sentence each
     */
    public static function leftUntried(BenchState $state): array
    {
        $open = $state->facts->readings->isChanged() ? $state->judgement->untriedAtRest() : [];

        return array_values(array_map(
            static fn (GateState $one): string => $one->sentence,
            array_filter($open, static fn (GateState $one): bool => $one->gate->key !== GateKey::NotTaut),
        ));
    }

    /**
     * Whoever may lift a tag may also run a machine that has one: otherwise two of them would wait for each other.
     *
     * @param  list<OtherControl>  $others  controls of the same machine
     *
     * @throws Refused If it is not to be run.
     */
    public static function check(Entry $entry, array $others): void
    {
        $covers = array_map(static fn (OtherControl $one): ?string => $one->cover(), $others);
        $found = array_map(static fn (OtherControl $one): ?string => $one->failed() ?? $one->untried(), $others);
        $tags = $entry->stamp->by->role->mayLiftTag()
            ? []
            : array_map(static fn (OtherControl $one): ?string => $one->tag(), $others);
        foreach (array_filter([...$covers, ...$found, ...$tags], is_string(...)) as $against) {
            throw Refused::because($against);
        }
    }

    private static function proof(BenchState $state, Checked $check): ?Proof
    {
        return $state->facts->proof($check->key, $state->spec, $state->run);
    }

    /** Whether this answer finds a fault: one that a rider may have so by taste finds none. */
    private static function isFault(BenchState $state, Checked $check): bool
    {
        $answers = self::proof($state, $check)?->answers;

        return $answers !== null && ! $answers->passes($check->answer) && ! $answers->tolerates($check->answer);
    }
}
