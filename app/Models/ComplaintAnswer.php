<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One answer on the way to a cause. Answers are added, never changed: the latest about a thing counts.
 *
 * @property string $id
 * @property string $complaint_id
 * @property int $seq
 * @property string $kind
 * @property string $about
 * @property string|null $answer
 * @property int $user_id
 * @property CarbonImmutable $at
 * @property User $user
 */
final class ComplaintAnswer extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime:Y-m-d H:i:s.v', 'seq' => 'integer'];
    }
}
