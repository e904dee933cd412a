<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Models\EntryRow;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;
use VividPull\Core\Cable\Part;
use VividPull\Core\Wire\SignedRecord;

/** Every closed job as one line, oldest first. */
final readonly class HistoryExport extends TableExport
{
    private const PIECE = 500;

    protected function format(): string
    {
        return 'vivid-pull/history@1';
    }

    protected function key(): string
    {
        return 'rows';
    }

    protected function columns(): array
    {
        return HistoryRow::COLUMNS;
    }

    protected function rows(): iterable
    {
        $after = ['1000-01-01 00:00:00', ''];
        do {
            $piece = DB::table('control_jobs')
                ->join('controls', 'controls.id', '=', 'control_jobs.control_id')
                ->join('machines', 'machines.id', '=', 'controls.machine_id')
                ->join(
                    'entries',
                    static fn ($join) => $join
                        ->on('entries.job_id', '=', 'control_jobs.id')
                        ->where('entries.kind', 'closed'),
                )
                ->whereNotNull('control_jobs.closed_at')->whereRaw(
                    '(control_jobs.closed_at > ? or (control_jobs.closed_at = ? and cast(control_jobs.id as char) > ?))',
                    [$after[0], $after[0], $after[1]],
                )
                ->orderBy('control_jobs.closed_at')->orderByRaw('cast(control_jobs.id as char)')->limit(self::PIECE)
                ->get([
                    'control_jobs.id', 'control_jobs.usage_reading', 'control_jobs.closed_at', 'machines.tag',
                    'controls.key', 'entries.at', 'entries.body', 'entries.by', 'entries.seq', 'entries.received_at',
                    'control_jobs.opened_at',
                ]);
            yield from $piece;
            $last = $piece->last();
            $after = $last === null ? $after : [(string) $last->closed_at, (string) $last->id];
        } while ($piece->count() === self::PIECE);
    }

    protected function cells(mixed $row): array
    {
        assert($row instanceof stdClass);
        $body = json_decode((string) $row->body, true);
        $record = SignedRecord::of($body['record'] ?? []);
        [$found, $left] = [$record->found(), $record->left()];

        return HistoryRow::from([
            'job' => $row->id,
            'machine' => $row->tag,
            'control' => $row->key,
            'day' => substr(EntryRow::possible(
                (int) $row->seq,
                (string) $row->at,
                (string) $row->received_at,
                CarbonImmutable::parse((string) $row->opened_at, 'UTC'),
            ), 0, 10),
            'usage' => (int) $row->usage_reading,
            'point' => $record->point()?->value,
            'engine' => ($found->engine ?? $left?->engine)?->value,
            'found_mm' => $found?->mm,
            'found_u_mm' => $found?->standardMm,
            'left_mm' => $left?->mm,
            'left_u_mm' => $left?->standardMm,
            'outcome' => $body['outcome'],
            'reason' => $record->byChoice() ?? $record->tag() ?? '',
            'parts' => implode(' ', array_map(static fn (Part $one): string => $one->value, $record->parts())),
            'given_before_mm' => $record->givenBeforeMm(),
            'next_check' => $body['next_check'] ?? null,
            'signed_by' => json_decode((string) $row->by, true)['name'],
        ])->cells();
    }
}
