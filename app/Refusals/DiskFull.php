<?php

declare(strict_types=1);

namespace App\Refusals;

use Illuminate\Database\QueryException;
use Throwable;

/** Whether the database could not write since the disk is full. */
final readonly class DiskFull
{
    /** What MariaDB says then: disk full, table full, no space for a temporary file. */
    private const CODES = [1021, 1114, 3, 28];

    public static function is(Throwable $e): bool
    {
        return $e instanceof QueryException && in_array((int) ($e->errorInfo[1] ?? 0), self::CODES, true);
    }
}
