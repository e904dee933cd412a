<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Somebody's report that a control feels odd, until it is answered.
 *
 * @property string $id
 * @property int $machine_id
 * @property int|null $control_id
 * @property string $words
 * @property bool|null $none_stops  whether it is nothing by which nobody runs the machine; null: nobody was asked
 * @property int $user_id
 * @property CarbonImmutable $at
 * @property CarbonImmutable|null $answered_at
 * @property int|null $answered_by_id
 * @property string|null $answer
 * @property string|null $job_id
 * @property Machine $machine
 * @property Control|null $control
 * @property User $user
 */
final class Intake extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }

    /** @return BelongsTo<Control, $this> */
    public function control(): BelongsTo
    {
        return $this->belongsTo(Control::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'none_stops' => 'boolean',
            'at' => 'immutable_datetime:Y-m-d H:i:s.v',
            'answered_at' => 'immutable_datetime:Y-m-d H:i:s.v',
        ];
    }
}
