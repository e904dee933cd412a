<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * People who learn together.
 *
 * @property string $id
 * @property string $name
 * @property CarbonImmutable $made_at
 * @property Collection<int, User> $people
 * @property Collection<int, PracticeTask> $tasks
 */
final class PracticeGroup extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return BelongsToMany<User, $this> */
    public function people(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'practice_group_people', 'group_id', 'user_id');
    }

    /** @return HasMany<PracticeTask, $this> */
    public function tasks(): HasMany
    {
        return $this->hasMany(PracticeTask::class, 'group_id');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['made_at' => 'immutable_datetime'];
    }
}
