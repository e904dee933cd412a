<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use VividPull\Core\Spec\MeterUnit;
use VividPull\Core\Wear\Meter;

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
 * @property int $usage_before
 * @property CarbonImmutable|null $ran_until
 * @property CarbonImmutable|null $retired_at
 * @property string|null $retired_why
 * @property-read Collection<int, Control> $controls
 */
final class Machine extends Model
{
    protected $guarded = [];

    /** @return HasMany<Control, $this> */
    public function controls(): HasMany
    {
        return $this->hasMany(Control::class);
    }

    /** @return HasMany<MeterReading, $this> */
    public function meterReadings(): HasMany
    {
        return $this->hasMany(MeterReading::class);
    }

    /** @return HasMany<FormerTag, $this> */
    public function formerTags(): HasMany
    {
        return $this->hasMany(FormerTag::class);
    }

    public function meter(): Meter
    {
        return new Meter(MeterUnit::from($this->usage_unit), (float) $this->usage_reading, (float) $this->usage_before);
    }

    /** @return array<string, mixed> what a list says of it */
    public function brief(): array
    {
        return [
            'tag' => $this->tag,
            'plate' => $this->plate,
            'name' => $this->name,
            'kind' => $this->kind,
            'year' => $this->year,
            'place' => $this->place,
            'usage' => $this->usage(),
            'usage_unit' => $this->usage_unit,
            'retired' => $this->retired_at !== null,
        ];
    }

    /** Minutes since the engine ran; null where nobody noted it. */
    public function stood(CarbonImmutable $now): ?float
    {
        return $this->ran_until?->diffInMinutes($now);
    }

    /** Use in all, over meters that were replaced. */
    public function usage(): int
    {
        return $this->usage_before + $this->usage_reading;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'ran_until' => 'immutable_datetime',
            'retired_at' => 'immutable_datetime',
            'usage_reading' => 'integer',
            'usage_before' => 'integer',
            'year' => 'integer',
        ];
    }
}
