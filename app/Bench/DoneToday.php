<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\ControlJob;
use App\Models\EntryRow;
use Carbon\CarbonImmutable;
use VividPull\Core\Bench\BenchState;
use VividPull\Core\Day\MinutesSpent;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\EntryKind;

/** What was signed today, with the minutes it took against those planned. */
final readonly class DoneToday
{
    /** @return list<array<string, mixed>> oldest first */
    public static function on(CarbonImmutable $now): array
    {
        $jobs = ControlJob::query()
            ->with('control.machine')
            ->where('closed_at', '>=', $now->startOfDay()->utc())
            ->where('closed_at', '<=', $now->endOfDay()->utc())
            ->orderBy('closed_at')
            ->limit(100)
            ->get()
            ->toBase();
        $rows = EntryRow::query()
            ->whereIn('job_id', $jobs->pluck('id'))
            ->get(['job_id', 'kind', 'at', 'body'])
            ->groupBy('job_id');

        return array_values($jobs->map(static fn (ControlJob $job): array => [
            'job' => $job->id,
            'tag' => $job->control->machine->tag,
            'control_name' => $job->control->name,
            'planned' => $job->control->minutes,
            'spent' => (int) round(MinutesSpent::of(array_values(
                ($rows[$job->id] ?? collect())->map(static fn (EntryRow $row): float => self::seconds($row->at))->all(),
            ))),
            'outcome' => ($rows[$job->id] ?? collect())->firstWhere('kind', EntryKind::Closed->value)?->outcome()?->value,
        ])->all());
    }

    /** Working minutes of a job that is still open. */
    public static function spent(BenchState $open): float
    {
        return MinutesSpent::of(array_map(
            static fn (Entry $entry): float => self::seconds($entry->stamp->at),
            $open->log->entries,
        ));
    }

    private static function seconds(string $at): float
    {
        return CarbonImmutable::parse($at)->getPreciseTimestamp(3) / 1000;
    }
}
