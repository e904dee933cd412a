<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

use DateTimeImmutable;

/** How much a machine is used in a day, from the first and the last thing known of its meter. */
final readonly class UsageRate
{
    /** Days that must lie between, or a week's holiday would pass for a habit (ours). */
    private const LEAST_DAYS = 14;

    private const DAY_S = 86400;

    private function __construct(public float $perDay) {}

    /**
     * Null where too little is known, or it stood.
     *
     * @param  list<array{day: string, usage: float}>  $readings  oldest first
     */
    public static function of(array $readings): ?self
    {
        if (count($readings) < 2) {
            return null;
        }
        [$first, $last] = [$readings[0], $readings[count($readings) - 1]];
        $days = self::days($first['day'], $last['day']);
        $use = $last['usage'] - $first['usage'];

        return $days < self::LEAST_DAYS || $use <= 0.0 ? null : new self($use / $days);
    }

    /** The day on which so much use from a day on is reached. */
    public function dayOf(string $from, float $use): string
    {
        return (new DateTimeImmutable($from))->modify('+'.(int) floor($use / $this->perDay).' days')->format('Y-m-d');
    }

    private static function days(string $from, string $to): float
    {
        return ((new DateTimeImmutable($to))->getTimestamp()
            - (new DateTimeImmutable($from))->getTimestamp()) / self::DAY_S;
    }
}
