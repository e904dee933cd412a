<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One job on one control, from the first confirmation to the signature.
 *
 * @property string $id
 * @property string $visit_id
 * @property int $control_id
 * @property int|null $open_control_id
 * @property array{spec: array<string, mixed>, run: array<string, mixed>} $frame
 * @property string|null $corrects
 * @property int $usage_reading
 * @property CarbonImmutable $opened_at
 * @property CarbonImmutable|null $closed_at
 * @property Control $control
 */
final class ControlJob extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return BelongsTo<Control, $this> */
    public function control(): BelongsTo
    {
        return $this->belongsTo(Control::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'frame' => 'array', 'usage_reading' => 'integer',
            'opened_at' => 'immutable_datetime:Y-m-d H:i:s.v', 'closed_at' => 'immutable_datetime:Y-m-d H:i:s.v',
        ];
    }
}
