<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection;
use VividPull\Core\Input\Node;
use VividPull\Core\Measurement\Instrument as Measuring;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Wire\StandingCodec;

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

    /** @return Collection<int, self> those that play is read with, as a job is opened with them */
    public static function forPlay(): Collection
    {
        return self::onTheShelf()->filter(static fn (self $one): bool => $one->readsPlay())->values();
    }

    public function readsPlay(): bool
    {
        return $this->kind()->dimension() === Dimension::Length;
    }

    public function kind(): InstrumentKind
    {
        return $this->instrument()->kind;
    }

    /** What it can show and how well it is known, as the core reads it. */
    public function instrument(): Measuring
    {
        return StandingCodec::instrument(Node::of($this->asWritten()));
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
