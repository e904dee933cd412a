<?php

declare(strict_types=1);

namespace App\Bench;

use Carbon\CarbonImmutable;

/** The time on the workshop's wall: which day it is there decides what is due and what was read today. */
final readonly class ShopClock
{
    public static function now(): CarbonImmutable
    {
        return CarbonImmutable::now(self::zone());
    }

    public static function today(): string
    {
        return self::now()->toDateString();
    }

    /** The day on which something happened there. */
    public static function dayOf(CarbonImmutable $at): string
    {
        return $at->setTimezone(self::zone())->toDateString();
    }

    /** A moment as the clock there showed it. */
    public static function at(CarbonImmutable $at): CarbonImmutable
    {
        return $at->setTimezone(self::zone());
    }

    private static function zone(): string
    {
        return (string) config('app.workshop_timezone');
    }
}
