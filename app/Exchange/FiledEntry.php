<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Bench\ImportedRecord;
use App\Models\User;
use Carbon\CarbonImmutable;
use VividPull\Core\Log\EntryKind;

/** An entry that comes from a file: said by whom the file names, let in by whoever took it in. */
final readonly class FiledEntry
{
    private const INSTANT = 'Y-m-d H:i:s.v';

    /**
     * @param  array<string, mixed>  $body
     * @param  string  $at  as their clock showed it, with its offset
     * @return array<string, mixed> a row of the log
     */
    public static function row(
        string $id,
        string $job,
        string $visit,
        int $seq,
        EntryKind $kind,
        array $body,
        string $at,
        string $name,
        User $by,
    ): array {
        $text = (string) json_encode($body, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);

        return [
            'id' => $id, 'visit_id' => $visit, 'seq' => $seq, 'job_id' => $job, 'kind' => $kind->value, 'body' => $text,
            'line' => null,
            'at' => $at,
            'at_utc' => CarbonImmutable::parse($at)->utc()->format(self::INSTANT),
            'received_at' => CarbonImmutable::now()->utc()->format(self::INSTANT),
            'user_id' => $by->id,
            'by' => (string) json_encode(self::author($name), JSON_UNESCAPED_UNICODE),
            'after' => null,
            'digest' => hash('sha256', $text),
        ];
    }

    /** @return array{id: string, name: string, role: string} */
    public static function author(string $name): array
    {
        return ['id' => ImportedRecord::HISTORY, 'name' => $name, 'role' => 'technician'];
    }
}
