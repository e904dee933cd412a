<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Bench\FiledEntry;
use App\Bench\ImportedRecord;
use App\Chain\Link;
use App\Models\EntryRow;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;
use stdClass;
use VividPull\Core\Bench\Acceptance;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Entry\Amended;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Entry\Voided;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Wire\EntryCodec;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/**
 * The readings behind a history: each goes into the log of its job, which a file of history brought in before. A job
 * that was done here has a log of its own, and nothing is put into that afterwards.
 */
final class ReadingsImport implements LineImport
{
    /** A job has a dozen; what has thousands is no job. */
    private const MOST_OF_ONE_JOB = 1000;

    /** Jobs and states kept at hand. */
    private const MOST_KEPT = 400;

    /** @var array<string, stdClass|null> by id: id, visit, machine, control, frame, opening, from_history, readings */
    private array $jobs = [];

    /** @var array<string, BenchState> as each kind of job stood before its first reading */
    private array $states = [];

    /** @var array<string, true> readings of the file seen so far */
    private array $seen = [];

    /** @var array<string, int> readings of the file so far, by job */
    private array $many = [];

    public function __construct(private readonly User $by, private readonly string $today) {}

    public function format(): string
    {
        return 'vivid-pull/readings@1';
    }

    public function key(): string
    {
        return 'readings';
    }

    public function columns(): array
    {
        return ReadingRow::COLUMNS;
    }

    public function consider(array $row): ?object
    {
        $line = ReadingRow::from($row);
        if (isset($this->seen[$line->id])) {
            throw Refused::because('This reading stands in the file already.');
        }
        $this->seen[$line->id] = true;
        $job = $this->job($line);
        $standing = EntryRow::query()->toBase()->where('id', $line->id)->first(['job_id', 'kind']);
        if ($standing !== null) {
            return $standing->job_id === $line->job && $standing->kind === EntryKind::Reading->value ? null
                : throw Refused::because('reading: this id stands for something else in the log.');
        }
        if ($job->from_history === null) {
            throw Refused::because(
                'job: it was done here, and its log has no such reading. Nothing is put into a log afterwards.',
            );
        }
        $this->mustFit($line, $job);
        $this->many[$line->job] = ($this->many[$line->job] ?? (int) $job->readings) + 1;
        if ($this->many[$line->job] > self::MOST_OF_ONE_JOB) {
            throw Refused::because('job: it has '.self::MOST_OF_ONE_JOB.' readings already, and one job has no more.');
        }

        return $line;
    }

    public function write(array $taken): void
    {
        $jobs = array_values(array_unique(array_map(
            static fn (object $line): string => $line instanceof ReadingRow ? $line->job : '',
            $taken,
        )));
        $visits = DB::table('control_jobs')->whereIn('id', $jobs)->pluck('visit_id', 'id');
        $last = DB::table('entries')
            ->whereIn('visit_id', $visits->unique())
            ->where('seq', '<', Link::FILED_CLOSING)
            ->groupBy('visit_id')
            ->selectRaw('visit_id, max(seq) as seq')
            ->pluck('seq', 'visit_id')
            ->all();
        $entries = [];
        foreach ($taken as $line) {
            assert($line instanceof ReadingRow);
            $visit = (string) $visits[$line->job];
            foreach (self::entries($line) as [$id, $draft]) {
                $entries[] = new FiledEntry(
                    $visit,
                    ++$last[$visit],
                    $line->job,
                    $draft,
                    FiledEntry::stamp($id, $line->at, $line->by),
                );
            }
        }
        EntryRow::file($entries, $this->by->id, CarbonImmutable::now());
    }

    /** @return list<array{string, Draft}> the reading, and what became of it, each with its id */
    private static function entries(ReadingRow $line): array
    {
        $reading = new Draft(EntryKind::Reading, $line->body);
        $entries = [[$line->id, $reading]];
        if ($line->putRight) {
            $amended = Amended::draft($line->id, $reading, 'Put right before it came in');
            $entries[] = [self::later($line, EntryKind::Amend), $amended];
        }
        if ($line->takenBack) {
            $voided = Voided::draft($line->id, 'Taken back before it came in');
            $entries[] = [self::later($line, EntryKind::Void), $voided];
        }

        return $entries;
    }

    public function finish(): void {}

    /** An id that what became of this reading always has. */
    private static function later(ReadingRow $line, EntryKind $kind): string
    {
        return Uuid::uuid5($line->id, $kind->value)->toString();
    }

    private function job(ReadingRow $line): stdClass
    {
        if (count($this->jobs) >= self::MOST_KEPT) {
            $this->jobs = [];
        }
        $job = $this->jobs[$line->job] ??= self::found($line->job);
        if ($job === null) {
            throw Refused::because(
                'job: none with this id is here. Take in the history first: each of its lines makes a job, and readings go into it.',
            );
        }
        if ($job->tag !== $line->machine || $job->key !== $line->control) {
            throw Refused::because(
                "job: this one is on {$job->tag} {$job->key}, not on {$line->machine} {$line->control}.",
            );
        }

        return $job;
    }

    /** Null where no job has this id. */
    private static function found(string $job): ?stdClass
    {
        return DB::table('control_jobs')
            ->join('controls', 'controls.id', '=', 'control_jobs.control_id')
            ->join('machines', 'machines.id', '=', 'controls.machine_id')
            ->join(
                'entries as opening',
                static fn ($join) => $join
                    ->on('opening.job_id', '=', 'control_jobs.id')
                    ->where('opening.kind', EntryKind::Opened->value),
            )
            ->leftJoin(
                'entries as closing',
                static fn ($join) => $join
                    ->on('closing.job_id', '=', 'control_jobs.id')
                    ->where('closing.kind', EntryKind::Closed->value)
                    ->whereRaw("json_value(closing.body, '$.record.engine') = ?", [ImportedRecord::HISTORY]),
            )
            ->where('control_jobs.id', $job)
            ->first([
                'control_jobs.frame',
                'control_jobs.opened_at',
                'machines.tag',
                'controls.key',
                'opening.body as opening',
                'closing.id as from_history',
                DB::raw(
                    "(select count(*) from entries where entries.job_id = control_jobs.id and entries.kind = 'reading') as readings",
                ),
            ]);
    }

    /** @throws CoreError If this control could not have been read so. */
    private function mustFit(ReadingRow $line, stdClass $job): void
    {
        $state = $this->state($job);
        $reading = (new EntryCodec($state->run))->entry(
            EntryKind::Reading,
            Node::of($line->body, 'reading'),
            FiledEntry::stamp($line->id, EntryCodec::instant(Node::of($line->at, '$.at')), $line->by),
        );
        assert($reading instanceof ReadingTaken);
        $day = substr($line->at, 0, 10);
        if ($day > $this->today || $day < HistoryImport::EARLIEST) {
            throw Refused::because("at: {$day} is not between ".HistoryImport::EARLIEST.' and today.');
        }
        Acceptance::checkReading($state, $reading);
    }

    private function state(stdClass $job): BenchState
    {
        $key = hash('xxh128', $job->frame.$job->opening);
        if (! isset($this->states[$key])) {
            $this->states = count($this->states) >= self::MOST_KEPT ? [] : $this->states;
            $frame = Node::fromJson((string) $job->frame);
            $run = RunCodec::decode($frame->at('run'));
            $opening = (new EntryCodec($run))->entry(
                EntryKind::Opened,
                Node::fromJson((string) $job->opening),
                new Stamp(
                    'opened',
                    CarbonImmutable::parse($job->opened_at, 'UTC')->toIso8601String(),
                    $this->by->person(),
                ),
            );
            $this->states[$key] = Bench::replay(SpecCodec::decode($frame->at('spec')), $run, Log::of($opening));
        }

        return $this->states[$key];
    }
}
