<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\EntryRow;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * An entry as it lies in the table, read straight: a job's whole log is read with every line logged, and most of an
 * Eloquent model would be made for nothing.
 */
final readonly class StoredEntry
{
    private const COLUMNS = [
        'id', 'visit_id', 'seq', 'job_id', 'kind', 'body', 'line', 'at', 'received_at', 'by', 'after', 'digest',
        'chain',
    ];

    private function __construct(
        public string $id,
        public int $seq,
        public string $visit,
        /** Null for what belongs to the whole visit. */
        public ?string $job,
        public string $kind,
        public string $digest,
        /** @see \App\Chain\Link */
        public ?string $chain,
        private stdClass $row,
    ) {}

    /** @return Collection<int, self> in order */
    public static function ofVisit(string $visit): Collection
    {
        return self::ofVisits([$visit]);
    }

    /**
     * @param  list<string>  $visits
     * @return Collection<int, self> in order, visit by visit
     */
    public static function ofVisits(array $visits): Collection
    {
        return DB::table('entries')
            ->whereIn('visit_id', $visits)
            ->orderBy('visit_id')
            ->orderBy('seq')
            ->get(self::COLUMNS)
            ->map(static fn (stdClass $row): self => new self(
                $row->id,
                (int) $row->seq,
                $row->visit_id,
                $row->job_id,
                $row->kind,
                $row->digest,
                $row->chain,
                $row,
            ));
    }

    /** @return array{id: string, name: string} whose it is */
    public function by(): array
    {
        return json_decode($this->row->by, true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return array<string, mixed> as the core's codec reads it */
    public function wire(): array
    {
        $row = $this->row;
        $wire = [
            'id' => $this->id,
            'seq' => $this->seq,
            'kind' => $this->kind,
            'at' => $row->at,
            'received_at' => EntryRow::instant($row->received_at),
            'by' => json_decode($row->by, true, flags: JSON_THROW_ON_ERROR),
        ];
        if ($row->after !== null) {
            $wire['after'] = $row->after;
        }
        if ($row->line !== null && $row->line !== '') {
            $wire['line'] = $row->line;
        }

        return $wire + ['body' => json_decode($row->body, true, flags: JSON_THROW_ON_ERROR)];
    }
}
