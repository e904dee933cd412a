<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One version of a spec; never changed once written.
 *
 * @property int $id
 * @property string $model
 * @property string $control
 * @property int $version
 * @property array<string, mixed> $body
 */
final class SpecVersion extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['body' => 'array', 'version' => 'integer'];
    }
}
