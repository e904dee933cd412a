<?php

declare(strict_types=1);

namespace App\Models;

use App\Chain\Link;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use LogicException;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

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
     * @param  array<string, mixed>  $body
     * @param  string|null  $job  null for what belongs to the whole visit
     * @param  string|null  $device  the one it was written on; null for what the server or a file wrote
     * @param  string  $digest  of what was sent, to tell a repeat from another entry under its id
     */
    public static function write(
        Link $place,
        ?string $job,
        EntryKind $kind,
        array $body,
        Stamp $stamp,
        int $userId,
        string $digest,
        CarbonImmutable $now,
        ?string $device = null,
    ): void {
        $row = [
            'id' => $stamp->id,
            'visit_id' => $place->visit,
            'seq' => $place->seq,
            'job_id' => $job,
            'kind' => $kind->value,
            'body' => json_encode($body, JSON_THROW_ON_ERROR),
            'line' => $stamp->line,
            'at' => $stamp->at,
            'at_utc' => CarbonImmutable::parse($stamp->at)->utc()->format(self::INSTANT),
            'received_at' => $now->utc()->format(self::INSTANT),
            'user_id' => $userId,
            'by' => json_encode(
                ['id' => $stamp->by->id, 'name' => $stamp->by->name, 'role' => $stamp->by->role->value],
                JSON_THROW_ON_ERROR,
            ),
            'after' => $stamp->after,
            'digest' => $digest,
            'device' => $device,
        ];
        // Straight, so that what lies in the table is to the letter what was chained, and no model is begun for it.
        DB::table('entries')->insert($row + ['chain' => Link::of($place->before, $row)]);
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
