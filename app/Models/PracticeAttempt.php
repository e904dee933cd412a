<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use VividPull\Core\Practice\Lesson\Help;

/**
 * A lesson that somebody works, or has worked.
 *
 * @property string $id
 * @property int $user_id
 * @property string $lesson
 * @property string $frame
 * @property CarbonImmutable $begun_at
 * @property CarbonImmutable|null $ended_at
 * @property array<string, mixed>|null $score
 * @property Help $help
 * @property string|null $task_id
 * @property User $user
 */
final class PracticeAttempt extends Model
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
        return [
            'begun_at' => 'immutable_datetime',
            'ended_at' => 'immutable_datetime',
            'score' => 'array',
            'help' => Help::class,
        ];
    }
}
