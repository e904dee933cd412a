<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * One machine in the workshop once: one log, one row of numbers.
 *
 * @property string $id
 * @property int $machine_id
 * @property CarbonImmutable $opened_at
 * @property CarbonImmutable|null $closed_at
 */
final class Visit extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['opened_at' => 'immutable_datetime:Y-m-d H:i:s.v', 'closed_at' => 'immutable_datetime:Y-m-d H:i:s.v'];
    }
}
