<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection;

/**
 * An instrument of the workshop. One that is put away stays in the table, since past readings name it.
 *
 * @property string $id
 * @property int $place
 * @property array<string, mixed> $body
 * @property CarbonImmutable|null $retired_at
 */
final class Instrument extends Model
{
    public $incrementing = false;

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return Collection<int, self> those in use, in their order */
    public static function onTheShelf(): Collection
    {
        return self::query()->whereNull('retired_at')->orderBy('place')->orderBy('id')->get()->toBase();
    }

    /** @return array<string, mixed> as a job keeps it */
    public function asWritten(): array
    {
        return ['id' => $this->id] + $this->body + ['inch_marks' => null];
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['body' => 'array', 'place' => 'integer', 'retired_at' => 'immutable_datetime'];
    }
}
