<?php

declare(strict_types=1);

namespace Database\Demo;

use Illuminate\Support\Str;
use Ramsey\Uuid\Uuid;
use Ramsey\Uuid\UuidInterface;

/** Identifiers for the demo, the same in every load. */
final class DemoIds
{
    private static int $count = 0;

    /** While the callback runs, the framework makes its identifiers here too. */
    public static function during(callable $load): void
    {
        self::$count = 0;
        Str::createUuidsUsing(static fn (): UuidInterface => Uuid::fromString(self::next()));
        try {
            $load();
        } finally {
            Str::createUuidsNormally();
        }
    }

    public static function next(): string
    {
        $hex = md5('saltmarsh '.self::$count++);

        return sprintf(
            '%s-%s-4%s-8%s-%s',
            substr($hex, 0, 8),
            substr($hex, 8, 4),
            substr($hex, 13, 3),
            substr($hex, 17, 3),
            substr($hex, 20, 12),
        );
    }
}
