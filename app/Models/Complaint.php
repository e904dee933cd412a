<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What feels wrong about a control, until somebody says what it was.
 *
 * @property string $id
 * @property int $control_id
 * @property int|null $open_control_id
 * @property string|null $words
 * @property int $opened_by_id
 * @property CarbonImmutable $opened_at
 * @property int|null $closed_by_id
 * @property CarbonImmutable|null $closed_at
 * @property string|null $cause
 * @property Control $control
 * @property User $openedBy
 * @property User|null $closedBy
 * @property Collection<int, ComplaintAnswer> $answers
 */
final class Complaint extends Model
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

    /** @return BelongsTo<User, $this> */
    public function openedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'opened_by_id');
    }

    /** @return BelongsTo<User, $this> */
    public function closedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'closed_by_id');
    }

    /** @return HasMany<ComplaintAnswer, $this> */
    public function answers(): HasMany
    {
        return $this->hasMany(ComplaintAnswer::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['opened_at' => 'immutable_datetime:Y-m-d H:i:s.v', 'closed_at' => 'immutable_datetime:Y-m-d H:i:s.v'];
    }
}
