<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property int $place
 * @property array<string, mixed> $body
 */
final class Instrument extends Model
{
    public $incrementing = false;

    protected $guarded = [];

    protected $keyType = 'string';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['body' => 'array', 'place' => 'integer'];
    }
}
