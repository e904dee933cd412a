<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use VividPull\Core\Practice\Lesson\Help;

/**
 * A lesson that is set for a group.
 *
 * @property string $id
 * @property string $group_id
 * @property string $lesson
 * @property Help $help
 * @property string|null $due_on
 * @property CarbonImmutable $set_at
 * @property PracticeGroup $group
 * @property Collection<int, PracticeAttempt> $attempts
 */
final class PracticeTask extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return BelongsTo<PracticeGroup, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(PracticeGroup::class, 'group_id');
    }

    /** @return HasMany<PracticeAttempt, $this> */
    public function attempts(): HasMany
    {
        return $this->hasMany(PracticeAttempt::class, 'task_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['help' => Help::class, 'set_at' => 'immutable_datetime'];
    }
}
