<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $tag
 * @property string|null $plate
 * @property string $name
 * @property string $kind
 * @property int $year
 * @property string $place
 * @property int $usage_reading
 * @property string $usage_unit
 * @property CarbonImmutable|null $ran_until
 */
final class Machine extends Model
{
    protected $guarded = [];

    /** @return HasMany<Control, $this> */
    public function controls(): HasMany
    {
        return $this->hasMany(Control::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['ran_until' => 'immutable_datetime', 'usage_reading' => 'integer', 'year' => 'integer'];
    }
}
