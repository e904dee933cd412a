<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * What a machine's meter said, and when. Written once.
 *
 * @property string $id
 * @property int $machine_id
 * @property CarbonImmutable $at
 * @property int $face
 * @property int $usage
 * @property bool $is_new_meter
 * @property int $user_id
 */
final class MeterReading extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'at' => 'immutable_datetime:Y-m-d H:i:s.v',
            'face' => 'integer',
            'usage' => 'integer',
            'is_new_meter' => 'boolean',
        ];
    }
}
