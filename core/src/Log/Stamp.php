<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use DateTimeImmutable;

/** Who wrote an entry, when by their clock (ISO 8601 with offset), and the last entry they had seen. */
final readonly class Stamp
{
    /** Minutes by which a device's clock may be off before its times are doubted. */
    public const CLOCK_OFF_MINUTES = 2;

    public function __construct(
        public string $id,
        public string $at,
        public Person $by,
        public ?string $after = null,
        public ?string $line = null,
        /** When the server had it, by the server's clock; null in a file written elsewhere. */
        public ?string $receivedAt = null,
    ) {}

    /**
     * When it happened, for what is reckoned from it: see `possible`.
     *
     * @param  string|null  $notBefore  RFC 3339, by the server's clock
     * @return string RFC 3339, at the offset of the author's clock
     */
    public function happenedAt(?string $notBefore = null): string
    {
        return self::possible($this->at, $this->receivedAt, $notBefore);
    }

    /**
     * A time as a device's clock showed it, where that can be. Nothing happened after the server had it, nor before the
     * job it belongs to was begun there; a clock that says so is off, and the nearest time that can be stands for its.
     *
     * @param  string  $at  RFC 3339, by the device's clock
     * @param  string|null  $receivedAt  RFC 3339, by the server's; null where nobody knows
     * @param  string|null  $notBefore  RFC 3339, by the server's; null where nobody knows
     * @return string RFC 3339, at the offset of the device's clock
     */
    public static function possible(string $at, ?string $receivedAt, ?string $notBefore = null): string
    {
        foreach ([[$receivedAt, 1], [$notBefore, -1]] as [$bound, $sign]) {
            if ($bound !== null && $sign * self::minutes($bound, $at) > self::CLOCK_OFF_MINUTES) {
                return (new DateTimeImmutable($bound))
                    ->setTimezone((new DateTimeImmutable($at))->getTimezone())
                    ->format('Y-m-d\TH:i:sP');
            }
        }

        return $at;
    }

    /** Minutes by which the author's clock showed a later time than the server had it at; 0 where it did not. */
    public function minutesAhead(): int
    {
        return $this->receivedAt === null ? 0
            : max(0, self::minutes($this->receivedAt, $this->at));
    }

    private static function minutes(string $from, string $to): int
    {
        return intdiv((int) strtotime($to) - (int) strtotime($from), 60);
    }
}
