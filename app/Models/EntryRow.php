<?php

declare(strict_types=1);

namespace App\Models;

use App\Bench\FiledEntry;
use App\Chain\Link;
use App\Chain\Rechain;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use LogicException;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Wire\SignedRecord;

/**
 * One entry as it lies in the table. Written once; never changed and never deleted.
 *
 * @property string $id
 * @property string $visit_id
 * @property int $seq
 * @property string|null $job_id
 * @property string $kind
 * @property array<string, mixed> $body
 * @property string|null $line
 * @property string $at
 * @property string $received_at
 * @property int $user_id
 * @property array{id: string, name: string, role: string} $by
 * @property string|null $after
 * @property string $digest
 * @property string $chain
 */
final class EntryRow extends Model
{
    private const INSTANT = 'Y-m-d H:i:s.v';

    public $incrementing = false;

    public $timestamps = false;

    protected $table = 'entries';

    protected $guarded = [];

    protected $keyType = 'string';

    /**
     * @param  string|null  $job  null for what belongs to the whole visit
     * @param  string|null  $device  the one it was written on; null for what the server or a file wrote
     * @param  string  $digest  of what was sent, to tell a repeat from another entry under its id
     */
    public static function write(
        Link $place,
        ?string $job,
        Draft $draft,
        Stamp $stamp,
        int $userId,
        string $digest,
        CarbonImmutable $now,
        ?string $device = null,
    ): void {
        $row = self::row($place->visit, $place->seq, $job, $draft, $stamp, $now)
            + ['user_id' => $userId, 'digest' => $digest, 'device' => $device];
        // Straight, so that what lies in the table is to the letter what was chained, and no model is begun for it.
        DB::table('entries')->insert($row + ['chain' => Link::of($place->before, $row)]);
    }

    /**
     * Entries of a file, into the logs of their visits; what stands behind them there is chained anew.
     *
     * @param  list<FiledEntry>  $entries  those of a visit in order
     */
    public static function file(array $entries, int $userId, CarbonImmutable $now): void
    {
        $visits = array_values(array_unique(array_column($entries, 'visit')));
        $begun = DB::table('entries')->whereIn('visit_id', $visits)->distinct()->pluck('visit_id')->flip();
        [$rows, $chains] = [[], []];
        foreach ($entries as $one) {
            $row = self::row($one->visit, $one->seq, $one->job, $one->draft, $one->stamp, $now);
            $chains[$one->visit] = $begun->has($one->visit)
                ? null
                : Link::of($chains[$one->visit] ?? Link::NOTHING, $row);
            $rows[] = $row + [
                'user_id' => $userId,
                'digest' => hash('sha256', $row['body']),
                'chain' => $chains[$one->visit],
            ];
        }
        DB::table('entries')->insert($rows);
        foreach ($begun->keys() as $visit) {
            Rechain::visit((string) $visit);
        }
    }

    /**
     * @return array{body: string, ...<string, string|int|null>} columns as they lie in the table
     */
    private static function row(
        string $visit,
        int $seq,
        ?string $job,
        Draft $draft,
        Stamp $stamp,
        CarbonImmutable $now,
    ): array {
        return [
            'id' => $stamp->id,
            'visit_id' => $visit,
            'seq' => $seq,
            'job_id' => $job,
            'kind' => $draft->kind->value,
            'body' => json_encode($draft->body, JSON_THROW_ON_ERROR),
            'line' => $stamp->line,
            'at' => $stamp->at,
            'at_utc' => CarbonImmutable::parse($stamp->at)->utc()->format(self::INSTANT),
            'received_at' => $now->utc()->format(self::INSTANT),
            'by' => json_encode(
                ['id' => $stamp->by->id, 'name' => $stamp->by->name, 'role' => $stamp->by->role->value],
                JSON_THROW_ON_ERROR,
            ),
            'after' => $stamp->after,
        ];
    }

    /** A moment as the table keeps it, RFC 3339. */
    public static function instant(string $kept): string
    {
        return str_replace(' ', 'T', $kept).'+00:00';
    }

    /**
     * When it happened, as its device's clock showed it where that can be, RFC 3339.
     *
     * @param  CarbonImmutable  $begun  before which it cannot have been
     */
    public function happenedAt(CarbonImmutable $begun): string
    {
        return self::possible($this->seq, $this->at, $this->received_at, $begun);
    }

    /** The same of a row as it lies in the table. What a file says stands as the file says it. */
    public static function possible(int $seq, string $at, string $received, CarbonImmutable $begun): string
    {
        return $seq >= Link::FILED_CLOSING ? $at : Stamp::possible(
            $at,
            self::instant($received),
            $begun->toIso8601String(),
        );
    }

    /** What was signed with it; null where it closed no job. */
    public function signed(): ?SignedRecord
    {
        return isset($this->body['record']) ? SignedRecord::of($this->body['record']) : null;
    }

    /** How the job ended with it; null where it closed none. */
    public function outcome(): ?ClosingOutcome
    {
        return ClosingOutcome::tryFrom($this->body['outcome'] ?? '');
    }

    /** The day that the signature named for the next look. */
    public function nextCheck(): ?string
    {
        return $this->body['next_check'] ?? null;
    }

    protected static function booted(): void
    {
        self::updating(static fn (): never => throw new LogicException('An entry is never changed.'));
        self::deleting(static fn (): never => throw new LogicException('An entry is never deleted.'));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['body' => 'array', 'by' => 'array', 'seq' => 'integer'];
    }
}
