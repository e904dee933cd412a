<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Spec;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Spec\BookInterval;
use VividPull\Core\Spec\MeterUnit;

final class BookIntervalTest extends TestCase
{
    /** The international mile: 1 mi = 1.609344 km exactly (NIST SP 811, appendix B.8). */
    public function test_a_book_in_miles_is_read_by_a_meter_in_kilometres_and_back(): void
    {
        self::assertEqualsWithDelta(
            9656.064,
            BookInterval::of(6000, MeterUnit::Miles, null)->in(MeterUnit::Kilometres),
            1e-9,
        );
        self::assertEqualsWithDelta(
            6000.0,
            BookInterval::of(9656.064, MeterUnit::Kilometres, null)->in(MeterUnit::Miles),
            1e-9,
        );
        self::assertSame(100.0, BookInterval::of(100, MeterUnit::Hours, 12)->in(MeterUnit::Hours));
    }

    public function test_hours_are_no_distance_and_uses_are_no_hours(): void
    {
        foreach (MeterUnit::cases() as $book) {
            foreach (MeterUnit::cases() as $meter) {
                $areDistances = in_array($book->value, ['km', 'mi'], true)
                    && in_array($meter->value, ['km', 'mi'], true);
                self::assertSame(
                    $book === $meter || $areDistances,
                    BookInterval::of(10, $book, null)->in($meter) !== null,
                    "{$book->value} by {$meter->value}",
                );
            }
        }
        self::assertNull(BookInterval::of(null, null, 12)->in(MeterUnit::Hours), 'months are no use');
    }

    public function test_it_is_said_as_the_book_does(): void
    {
        self::assertSame('every 6 000 mi or 12 months', BookInterval::of(6000, MeterUnit::Miles, 12)->say());
        self::assertSame('every 50 h', BookInterval::of(50, MeterUnit::Hours, null)->say());
        self::assertSame('every month', BookInterval::of(null, null, 1)->say());
    }

    /** @return iterable<string, array{float|null, MeterUnit|null, int|null, string}> */
    public static function broken(): iterable
    {
        yield 'nothing at all' => [null, null, null, 'An interval names use, months, or both.'];
        yield 'use that counts nothing' => [100, null, null, 'Use needs its unit'];
        yield 'a unit of no use' => [null, MeterUnit::Hours, 6, 'a unit needs its figure'];
    }

    #[DataProvider('broken')]
    public function test_half_an_interval_is_none(?float $use, ?MeterUnit $unit, ?int $months, string $why): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage($why);
        BookInterval::of($use, $unit, $months);
    }
}
