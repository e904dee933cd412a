<?php

declare(strict_types=1);

namespace App\Exchange;

use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Every reading as it was logged, taken back or not: job by job, and in each as its log has them. */
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
            $jobs = DB::table('control_jobs')->join('controls', 'controls.id', '=', 'control_jobs.control_id')->join('machines', 'machines.id', '=', 'controls.machine_id')
                ->when($after !== '', static fn ($query) => $query->where('control_jobs.id', '>', $after))->orderBy('control_jobs.id')->limit(self::JOBS)
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

        return ReadingRow::cells((string) $row->id, (string) $row->job_id, (string) $row->of->tag, (string) $row->of->key, (string) $row->at, (string) json_decode((string) $row->by, true)['name'],
            (array) json_decode((string) $row->body, true), $row->void !== null);
    }

    /**
     * @param  Collection<array-key, array-key>  $jobs
     * @return iterable<stdClass>
     */
    private function of(Collection $jobs): iterable
    {
        return DB::table('entries')
            ->leftJoin('entries as voids', static fn ($join) => $join->on('voids.visit_id', '=', 'entries.visit_id')->where('voids.kind', 'void')->whereRaw("json_value(voids.body, '$.entry') = cast(entries.id as char)"))
            ->whereIn('entries.job_id', $jobs)->where('entries.kind', 'reading')->orderBy('entries.job_id')->orderBy('entries.seq')
            ->get(['entries.id', 'entries.job_id', 'entries.at', 'entries.by', 'entries.body', 'voids.id as void']);
    }
}
