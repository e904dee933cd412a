<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use LogicException;

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
 */
final class EntryRow extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $table = 'entries';

    protected $guarded = [];

    protected $keyType = 'string';

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
