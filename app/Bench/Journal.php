<?php

declare(strict_types=1);

namespace App\Bench;

use App\Chain\Link;
use App\Models\EntryRow;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\RunsTheMachine;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\Amended;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\PhotoTaken;
use VividPull\Core\Log\Entry\PolicyChosen;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Entry\TraceTaken;
use VividPull\Core\Log\Entry\Voided;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Wire\ClosingRecord;
use VividPull\Core\Wire\EntryCodec;

/**
 * The only way into the log. The visit's row is locked, the line resolved and tried on the core, and the entry
 * inserted with the next number; what is answered was committed.
 */
final readonly class Journal
{
    private const TAKEN = 'Another entry was already written under this id. Nothing was changed.';

    /** Kinds that the server writes by itself, and from where. */
    private const OWN = [
        EntryKind::Opened->value => 'A job is opened from the machine\'s page.',
        EntryKind::Complaint->value => 'What feels wrong is said under Find the cause, from the machine\'s page.',
    ];

    /** Kinds that belong to the whole visit. */
    private const VISIT_WIDE = [EntryKind::Condition];

    /** Kinds by which somebody answers for all that stands in the job. */
    private const SIGNED = [EntryKind::Closed, EntryKind::Untag];

    /**
     * @throws CoreError If the core refuses the entry.
     * @throws Conflict If the id stands for something else already.
     */
    public function write(
        JobHead $job,
        User $user,
        EntryRequest $request,
        CarbonImmutable $now,
        ?string $device = null,
    ): BenchState {
        try {
            return DB::transaction(
                fn (): BenchState => $this->append($job, $user->id, $user->person(), $request, $now, $device),
                3,
            );
        } catch (UniqueConstraintViolationException $e) {
            // The id stands in another visit's log: ids are the table's own key.
            throw new Conflict(self::TAKEN, previous: $e);
        }
    }

    private function append(
        JobHead $job,
        int $userId,
        Person $by,
        EntryRequest $request,
        CarbonImmutable $now,
        ?string $device,
    ): BenchState {
        DB::table('visits')->where('id', $job->visit)->lockForUpdate()->first(['id']);
        $rows = StoredEntry::ofVisit($job->visit);
        $state = JobLog::fromVisit($job->id, $job->frame, $rows)->replay();
        if ($this->isRepeat($rows, $request)) {
            return $state;
        }
        $draft = $request->draft($state, $by);
        if (isset(self::OWN[$draft->kind->value])) {
            throw Refused::because(self::OWN[$draft->kind->value]);
        }
        if (in_array($draft->kind, self::SIGNED, true)) {
            self::mustHaveSeen($rows, $job->id, $request->after, $by);
        }
        $stamp = $request->stamp($by, $now);

        return $this->put($job, $rows, $state, $draft, $stamp, $userId, $request->digest, $now, $device);
    }

    /**
     * What follows in the job from something said elsewhere.
     *
     * @throws CoreError If the core refuses the entry.
     */
    public function add(JobHead $job, User $user, string $id, Draft $draft, CarbonImmutable $now): void
    {
        DB::transaction(function () use ($job, $user, $id, $draft, $now): void {
            DB::table('visits')->where('id', $job->visit)->lockForUpdate()->first(['id']);
            $rows = StoredEntry::ofVisit($job->visit);
            $stamp = new Stamp(
                $id,
                $now->toIso8601String(),
                $user->person(),
                receivedAt: $now->utc()->format('Y-m-d\TH:i:s.vP'),
            );
            $this->put(
                $job,
                $rows,
                JobLog::fromVisit($job->id, $job->frame, $rows)->replay(),
                $draft,
                $stamp,
                $user->id,
                hash('sha256', (string) json_encode($draft->body)),
                $now,
                null,
            );
        });
    }

    /** @param  Collection<int, StoredEntry>  $rows */
    private function put(
        JobHead $job,
        Collection $rows,
        BenchState $state,
        Draft $draft,
        Stamp $stamp,
        int $userId,
        string $digest,
        CarbonImmutable $now,
        ?string $device,
    ): BenchState {
        $entry = (new EntryCodec($state->run))->drafted($draft, $stamp);
        self::mustHold($job, $rows, $state, $entry);
        $after = Bench::accept($state, $entry);
        // What is kept is said in millimetres, whoever signs it.
        $kept = $entry instanceof Closed
            ? Spoken::kept(static fn (): BenchState => JobLog::fromVisit($job->id, $job->frame, $rows)->replay())
            : null;
        $signed = $kept === null
            ? $draft
            : Closed::recording($draft, Spoken::kept(static fn (): array => ClosingRecord::of($kept)));
        $of = self::isVisitWide($entry, $rows) ? null : $job->id;
        EntryRow::write(Link::behind($job->visit, $rows), $of, $signed, $stamp, $userId, $digest, $now, $device);
        if ($kept !== null) {
            Spoken::kept(static fn () => Closing::of($job, $entry, Bench::accept($kept, $entry), $now));
        }

        return $after;
    }

    /**
     * What an entry says of other things than its own job: they are there, and nothing on them stands against it.
     *
     * @param  Collection<int, StoredEntry>  $rows
     *
     * @throws Refused If not; it is named.
     */
    private static function mustHold(JobHead $job, Collection $rows, BenchState $state, Entry $entry): void
    {
        if ($entry instanceof PolicyChosen) {
            ComparableControls::mustHold($job, $entry);
        }
        if ($entry instanceof TraceTaken) {
            Traces::mustHold($job, $state, $entry);
        }
        if ($entry instanceof PhotoTaken) {
            Pictures::mustHold($job, $entry);
        }
        if ($entry instanceof ReadingTaken) {
            $again = RestOfMachine::heatAgain($job, $state, $rows, $entry->stamp->happenedAt());
            $again === null || throw Refused::because("{$again} Then type it again.");
        }
        if (RunsTheMachine::entry($state, $entry) && ! RunsTheMachine::wentWrong($state, $entry)) {
            RunsTheMachine::check($entry, array_column(RestOfMachine::of($job, $rows), 'control'));
        }
    }

    /**
     * Whoever signs has seen everything that somebody else wrote before.
     *
     * @param  Collection<int, StoredEntry>  $rows
     *
     * @throws Conflict If somebody wrote since.
     */
    private static function mustHaveSeen(Collection $rows, string $job, ?string $after, Person $by): void
    {
        $seen = self::find($rows, $after ?? '')->seq ?? 0;
        foreach ($rows as $row) {
            if (
                $row->seq > $seen
                && $row->kind !== EntryKind::Joined->value
                && ($row->job === $job || $row->job === null)
                && $row->by()['id'] !== $by->id
            ) {
                throw new Conflict(
                    "{$row->by()['name']} wrote in this job since you looked. Look at what stands there now, then sign.",
                );
            }
        }
    }

    /** @param  Collection<int, StoredEntry>  $rows */
    private static function find(Collection $rows, string $id): ?StoredEntry
    {
        return $rows->first(static fn (StoredEntry $row): bool => $row->id === $id);
    }

    /** @param  Collection<int, StoredEntry>  $rows */
    private function isRepeat(Collection $rows, EntryRequest $request): bool
    {
        $same = self::find($rows, $request->id);
        if ($same === null) {
            return false;
        }
        if ($same->digest !== $request->digest) {
            throw new Conflict(self::TAKEN);
        }

        return true;
    }

    /**
     * Heat and wheels belong to every job of the visit, and so does what changes an entry about them.
     *
     * @param  Collection<int, StoredEntry>  $rows
     */
    private static function isVisitWide(Entry $entry, Collection $rows): bool
    {
        $target = $entry instanceof Voided || $entry instanceof Amended ? self::find($rows, $entry->entry) : null;

        return in_array($entry->kind(), self::VISIT_WIDE, true) || ($target !== null && $target->job === null);
    }
}
