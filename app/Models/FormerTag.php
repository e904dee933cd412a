<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A tag that hung on a machine before; it still finds it.
 *
 * @property int $machine_id
 * @property string $tag
 * @property CarbonImmutable $until
 */
final class FormerTag extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['until' => 'immutable_datetime'];
    }
}
