<?php

declare(strict_types=1);

namespace App\Models;

use App\Bench\ControlSummary;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use LogicException;

/**
 * A control's summary between the row and the code.
 *
 * @implements CastsAttributes<ControlSummary, mixed>
 */
final class SummaryCast implements CastsAttributes
{
    /**
     * A summary never changes in place. Kept beside the row it would be written again, in newer words, with whatever
     * else of the row is saved.
     */
    public bool $withoutObjectCaching = true;

    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?ControlSummary
    {
        return is_string($value)
            ? ControlSummary::fromArray(json_decode($value, true, flags: JSON_THROW_ON_ERROR))
            : null;
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return match (true) {
            $value === null => null,
            $value instanceof ControlSummary => json_encode($value->toArray(), JSON_THROW_ON_ERROR),
            default => throw new LogicException('A summary is a ControlSummary.'),
        };
    }
}
