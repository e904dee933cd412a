<?php

declare(strict_types=1);

namespace App\Exchange;

use Illuminate\Support\Facades\DB;
use stdClass;

/** Every reading as it was logged, taken back or not, in the order in which the server took them. */
final readonly class ReadingsExport extends TableExport
{
    private const PIECE = 1000;

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
        return ['reading', 'job', 'machine', 'control', 'at', 'by', 'point', 'pose', 'engine', 'wheels', 'instrument', 'entered', 'value_mm', 'taken_back'];
    }

    protected function rows(): iterable
    {
        $after = '';
        do {
            $piece = DB::table('entries')->join('control_jobs', 'control_jobs.id', '=', 'entries.job_id')->join('controls', 'controls.id', '=', 'control_jobs.control_id')
                ->join('machines', 'machines.id', '=', 'controls.machine_id')
                ->leftJoin('entries as voids', static fn ($join) => $join->on('voids.visit_id', '=', 'entries.visit_id')->where('voids.kind', 'void')->whereRaw("json_value(voids.body, '$.entry') = cast(entries.id as char)"))
                ->where('entries.kind', 'reading')->when($after !== '', static fn ($query) => $query->where('entries.id', '>', $after))->orderBy('entries.id')->limit(self::PIECE)
                ->get(['entries.id', 'entries.job_id', 'entries.at', 'entries.by', 'entries.body', 'machines.tag', 'controls.key', 'voids.id as void']);
            yield from $piece;
            $after = (string) ($piece->last()->id ?? $after);
        } while ($piece->count() === self::PIECE);
    }

    protected function cells(mixed $row): array
    {
        assert($row instanceof stdClass);
        $body = json_decode((string) $row->body, true);
        $text = static fn (string $key): ?string => isset($body[$key]) ? (string) $body[$key] : null;

        return [(string) $row->id, (string) $row->job_id, (string) $row->tag, (string) $row->key, (string) $row->at, json_decode((string) $row->by, true)['name'],
            $text('point'), $text('pose'), $text('engine'), $text('wheels'), $text('instrument'), $text('entered'), isset($body['mm']) ? (float) $body['mm'] : null, $row->void === null ? null : 'yes'];
    }
}
