<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Something done to the shop rather than to a job: who, what, when. Written once.
 *
 * @property int $id
 * @property CarbonImmutable $at
 * @property int|null $user_id
 * @property string $action
 * @property string $about
 * @property array<string, mixed> $detail
 * @property string|null $subject what was changed, where somebody may change it at the same time
 * @property User|null $user
 */
final class Audit extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @param  array<string, mixed>  $detail */
    public static function note(
        ?User $by,
        string $action,
        string $about,
        array $detail = [],
        ?string $subject = null,
    ): void {
        self::query()->create([
            'subject' => $subject,
            'at' => CarbonImmutable::now(),
            'user_id' => $by?->id,
            'action' => $action,
            'about' => mb_substr($about, 0, 120),
            'detail' => $detail,
        ]);
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @return array<string, array{before: mixed, after: mixed}> what differs
     */
    public static function changes(array $before, array $after): array
    {
        $changes = [];
        foreach ($after + $before as $name => $_) {
            if (($before[$name] ?? null) !== ($after[$name] ?? null)) {
                $changes[$name] = ['before' => $before[$name] ?? null, 'after' => $after[$name] ?? null];
            }
        }

        return $changes;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'immutable_datetime:Y-m-d H:i:s.v', 'detail' => 'array'];
    }
}
