<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A computer of the workshop that carries what gauges send, by a token of its own. One that was ended stays, since
 * readings name it.
 *
 * @property string $id
 * @property string $name
 * @property string $digest
 * @property int $user_id
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $seen_at
 * @property CarbonImmutable|null $ended_at
 * @property list<string> $carries
 */
final class GaugeBridge extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return array<string, string> */
    protected function casts(): array
    {
        $instant = 'immutable_datetime:Y-m-d H:i:s.v';

        return ['carries' => 'array', 'made_at' => $instant, 'seen_at' => $instant, 'ended_at' => $instant];
    }
}
