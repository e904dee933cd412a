<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Errors\Refused;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\MeasureState;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Progress\ItemKey;
use VividPull\Core\Progress\ItemTopic;

/**
 * What is tried with the machine running. The machine is one: what runs it waits for the covers that other jobs on it
 * took off, and for tags that hang on its other controls.
 */
final readonly class RunsTheMachine
{
    /** Whether what this entry tells of was tried with the machine running. */
    public static function entry(BenchState $state, Entry $entry): bool
    {
        return match (true) {
            $entry instanceof Checked => self::proof($state, $entry->key),
            $entry instanceof MeasureTaken => self::measure($state, $entry->key),
            $entry instanceof OutcomeSeen => self::outcome($state, $entry->setting),
            default => false,
        };
    }

    /**
     * Whether what this entry tells of went wrong while the machine ran. What was seen is kept, whatever stood against
     * running it: a fault that nobody may write down is one that the next person meets.
     */
    public static function wentWrong(BenchState $state, Entry $entry): bool
    {
        return match (true) {
            ! self::entry($state, $entry) => false,
            $entry instanceof Checked => ! self::isRight($state, $entry),
            $entry instanceof OutcomeSeen => ($state->judgement->table?->table->settings[$entry->setting]->wants
                ?? null) !== $entry->saw,
            default => false,
        };
    }

    /** Whether what the job asks for next is tried with the machine running. */
    public static function asked(BenchState $state): bool
    {
        $item = $state->facts->closed === null ? $state->progress->asks() : null;
        if ($item === null) {
            return false;
        }
        $of = (string) ItemKey::of($item->key)->of;

        return match ($item->topic()) {
            ItemTopic::Check, ItemTopic::Found => self::proof($state, explode('/', $of, 2)[0]),
            ItemTopic::Measure => $item->measure !== null && self::measure($state, $item->measure),
            ItemTopic::Outcome => self::outcome($state, $of),
            default => false,
        };
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

    private static function proof(BenchState $state, string $key): bool
    {
        return array_filter(
            $state->facts->proofs($state->spec, $state->run),
            static fn (Proof $one): bool => $one->key === $key && $one->running->runs(),
        ) !== [];
    }

    /** Whether this answer finds no fault: one that a rider may have so by taste finds none either. */
    private static function isRight(BenchState $state, Checked $check): bool
    {
        foreach ($state->facts->proofs($state->spec, $state->run) as $proof) {
            if ($proof->key === $check->key) {
                return $proof->answers->passes($check->answer) || $proof->answers->tolerates($check->answer);
            }
        }

        return true;
    }

    private static function measure(BenchState $state, MeasureKey $key): bool
    {
        return array_filter(
            $state->judgement->measures,
            static fn (MeasureState $one): bool => $one->measure->key === $key && $one->measure->running->runs(),
        ) !== [];
    }

    private static function outcome(BenchState $state, string $setting): bool
    {
        return Families::of($state->spec->family)->runsItsTable()
            && isset($state->judgement->table?->table->settings[$setting]);
    }
}
