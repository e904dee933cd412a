<?php

declare(strict_types=1);

namespace App\Chain;

use App\Bench\StoredEntry;
use App\Models\EntryRow;
use Illuminate\Support\Collection;

/**
 * Where an entry goes in its visit's chain. Each entry keeps the SHA-256 of the one before and of itself, so one that
 * is altered, added or taken out by hand no longer fits what follows it.
 */
final readonly class Link
{
    /** What stands before the first entry of a visit. */
    public const NOTHING = '0000000000000000000000000000000000000000000000000000000000000000';

    /**
     * Columns that are bound, as they lie in the table. The rest follows from these (at_utc) or tells a repeat (digest,
     * user_id).
     */
    public const COLUMNS = [
        'id', 'visit_id', 'seq', 'job_id', 'kind', 'body', 'line', 'at', 'received_at', 'by', 'after', 'device',
    ];

    /** The number of the closing entry of a job that came from a list: readings are filed in between later. */
    public const FILED_CLOSING = 1_000_000;

    private function __construct(
        public string $visit,
        public int $seq,
        public string $before,
    ) {}

    /** @param  Collection<int, StoredEntry>  $rows  the visit's, in order */
    public static function behind(string $visit, Collection $rows): self
    {
        $last = $rows->last();

        return new self($visit, ($last->seq ?? 0) + 1, $last->chain ?? self::NOTHING);
    }

    /** Behind what lies in the table; the visit's row is locked by whoever asks. */
    public static function next(string $visit): self
    {
        $last = EntryRow::query()->where('visit_id', $visit)->orderByDesc('seq')->toBase()->first(['seq', 'chain']);

        return new self($visit, (int) ($last->seq ?? 0) + 1, $last->chain ?? self::NOTHING);
    }

    /**
     * @param  array<string, mixed>  $row  columns as they lie in the table: body and by as JSON
     * @return string 64 hexadecimal digits
     */
    public static function of(string $before, array $row): string
    {
        $bound = array_intersect_key($row, array_flip(self::COLUMNS));
        $bound['seq'] = (int) $row['seq'];
        $bound['body'] = json_decode((string) $row['body'], flags: JSON_THROW_ON_ERROR);
        $bound['by'] = json_decode((string) $row['by'], flags: JSON_THROW_ON_ERROR);

        return hash(
            'sha256',
            $before.CanonicalJson::of(array_filter($bound, static fn (mixed $value): bool => $value !== null)),
        );
    }
}
