<?php

declare(strict_types=1);

namespace App\Exchange;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;
use VividPull\Core\Log\EntryKind;

/** Every reading as its log has it now, put right or taken back: job by job. */
final readonly class ReadingsExport extends TableExport
{
    private const JOBS = 200;

    protected function format(): string
    {
        return 'vivid-pull/readings@1';
    }

    protected function key(): string
    {
        return 'readings';
    }

    protected function columns(): array
    {
        return ReadingRow::COLUMNS;
    }

    protected function rows(): iterable
    {
        $after = '';
        do {
            $jobs = DB::table('control_jobs')
                ->join('controls', 'controls.id', '=', 'control_jobs.control_id')
                ->join('machines', 'machines.id', '=', 'controls.machine_id')
                ->when($after !== '', static fn ($query) => $query->where('control_jobs.id', '>', $after))
                ->orderBy('control_jobs.id')
                ->limit(self::JOBS)
                ->get(['control_jobs.id', 'machines.tag', 'controls.key'])->keyBy('id');
            foreach ($this->of($jobs->keys()) as $reading) {
                $reading->of = $jobs[$reading->job_id];
                yield $reading;
            }
            $after = (string) ($jobs->last()->id ?? $after);
        } while ($jobs->count() === self::JOBS);
    }

    protected function cells(mixed $row): array
    {
        assert($row instanceof stdClass);

        return ReadingRow::cells(
            (string) $row->id,
            (string) $row->job_id,
            (string) $row->of->tag,
            (string) $row->of->key,
            (string) $row->at,
            (string) json_decode((string) $row->by, true)['name'],
            $row->body,
            $row->putRight,
            $row->takenBack,
        );
    }

    /**
     * The readings of these jobs with what became of each: put right later, or taken back.
     *
     * @param  Collection<array-key, array-key>  $jobs
     * @return list<stdClass>
     */
    private function of(Collection $jobs): array
    {
        $entries = DB::table('entries')
            ->whereIn('job_id', $jobs)
            ->whereIn('kind', [EntryKind::Reading->value, EntryKind::Void->value, EntryKind::Amend->value])
            ->orderBy('job_id')->orderBy('seq')->get(['id', 'job_id', 'kind', 'at', 'by', 'body']);
        [$readings, $amends, $voids] = [[], [], []];
        foreach ($entries as $entry) {
            $entry->body = (array) json_decode((string) $entry->body, true);
            match ($entry->kind) {
                EntryKind::Reading->value => $readings[] = $entry,
                EntryKind::Void->value => $voids[$entry->body['entry']] = true,
                default => $amends[$entry->body['entry']][] = $entry,
            };
        }
        foreach ($readings as $reading) {
            $standing = array_values(array_filter(
                $amends[$reading->id] ?? [],
                static fn (stdClass $one): bool => ! isset($voids[$one->id]),
            ));
            $last = $standing[count($standing) - 1]->body ?? null;
            $isReading = $last === null || $last['kind'] === EntryKind::Reading->value;
            $reading->putRight = $last !== null && $isReading;
            $reading->takenBack = isset($voids[$reading->id]) || ! $isReading;
            $reading->body = $reading->putRight ? $last['body'] : $reading->body;
        }

        return $readings;
    }
}
