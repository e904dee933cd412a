<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wear;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Spec\BookInterval;
use VividPull\Core\Spec\MeterUnit;
use VividPull\Core\Wear\CheckReason;
use VividPull\Core\Wear\JobRecord;
use VividPull\Core\Wear\Meter;
use VividPull\Core\Wear\NextCheck;
use VividPull\Core\Wear\UsageRate;

final class NextCheckTest extends TestCase
{
    public function test_practice_stands_where_nothing_else_speaks(): void
    {
        $check = NextCheck::after(self::look(), MeterUnit::Kilometres, null, null, null);

        // About every 1,000 mi, and half a year: common practice, no source.
        self::assertSame(
            [CheckReason::Practice, 7600.0, '2026-07-15'],
            [$check->decides->why, $check->decides->usage, $check->decides->day],
        );
    }

    public function test_the_earliest_of_book_practice_and_drift_decides(): void
    {
        $pace = UsageRate::of([['day' => '2025-01-15', 'usage' => 2350.0], ['day' => '2026-01-15', 'usage' => 6000.0]]);
        self::assertEqualsWithDelta(10.0, $pace->perDay ?? 0.0, 1e-12, '3650 km in 365 days');

        $book = BookInterval::of(6000.0, MeterUnit::Miles, null);
        $check = NextCheck::after(self::look(), MeterUnit::Kilometres, $book, 1220.0, $pace);

        self::assertSame(
            [CheckReason::Drift, CheckReason::Practice, CheckReason::Book],
            array_map(static fn ($one) => $one->why, $check->all),
        );
        self::assertSame(
            [7220.0, '2026-05-17'],
            [$check->decides->usage, $check->decides->day],
            '1220 km at 10 km a day are 122 days from 15 January',
        );
        self::assertEqualsWithDelta(6000 + 6000 * 1.609344, $check->all[2]->usage ?? 0.0, 1e-9);
    }

    /** A machine whose play is read now and then is not looked over by that. */
    public function test_what_book_and_practice_want_is_not_put_off_by_a_check(): void
    {
        $whole = self::look();
        $check = new JobRecord(7000.0, '2026-06-01', $whole->point, null, $whole->found, $whole->left, isWhole: false);
        $book = BookInterval::of(null, null, 12);
        $next = NextCheck::after($check, MeterUnit::Kilometres, $book, 900.0, null, whole: $whole);
        $at = array_column(
            array_map(static fn ($one): array => [$one->why->value, [$one->usage, $one->day]], $next->all),
            1,
            0,
        );

        self::assertSame([7600.0, '2026-07-15'], $at[CheckReason::Practice->value], 'half a year from the whole job');
        self::assertSame('2027-01-15', $at[CheckReason::Book->value][1]);
        self::assertSame(7900.0, $at[CheckReason::Drift->value][0], 'drift goes on from what was read last');
    }

    public function test_a_new_part_is_looked_at_soon(): void
    {
        $check = NextCheck::after(self::look([Part::Cable]), MeterUnit::Kilometres, null, null, null);

        self::assertSame(
            [CheckReason::NewPart, 6400.0, '2026-02-15'],
            [$check->decides->why, $check->decides->usage, $check->decides->day],
        );
    }

    public function test_a_day_that_was_named_stands_alone(): void
    {
        $check = NextCheck::after(self::look(), MeterUnit::Hours, null, 3.0, null, '2027-04-01');

        self::assertSame(
            [CheckReason::Named, '2027-04-01', 1],
            [$check->decides->why, $check->decides->day, count($check->all)],
        );
    }

    public function test_a_book_that_counts_hours_says_nothing_of_kilometres(): void
    {
        self::assertNull(BookInterval::of(50.0, MeterUnit::Hours, null)->in(MeterUnit::Kilometres));
        self::assertSame('every 50 h or 12 months', BookInterval::of(50.0, MeterUnit::Hours, 12)->say());
    }

    public function test_no_pace_from_a_few_days_or_a_machine_that_stood(): void
    {
        self::assertNull(UsageRate::of([
            ['day' => '2026-01-01', 'usage' => 1.0],
            ['day' => '2026-01-10', 'usage' => 9.0],
        ]));
        self::assertNull(UsageRate::of([
            ['day' => '2026-01-01', 'usage' => 5.0],
            ['day' => '2026-03-10', 'usage' => 5.0],
        ]));
    }

    public function test_a_meter_that_goes_backward_is_questioned(): void
    {
        $this->expectException(Refused::class);
        $this->expectExceptionMessage('The meter said 6 412 km before; 612 km is less.');

        (new Meter(MeterUnit::Kilometres, 6412.0))->read(612.0);
    }

    public function test_a_meter_that_leaps_is_questioned_and_goes_on_when_it_is_so(): void
    {
        $meter = new Meter(MeterUnit::Hours, 146.0);
        self::assertSame(2460.0, $meter->read(2460.0, sure: true)->usage());

        $this->expectExceptionMessage('That is 2 314 h more than the last time.');
        $meter->read(2460.0);
    }

    public function test_a_replaced_meter_continues(): void
    {
        $new = (new Meter(MeterUnit::Kilometres, 6400.0))->replaced(6412.0, 3.0);

        self::assertSame([3.0, 6412.0], [$new->face, $new->usage()]);
        self::assertSame(6512.0, $new->read(103.0)->usage());
        self::assertSame(6531.0, $new->read(103.0)->replaced(122.0, 0.0)->usage(), 'and the next one too');
    }

    /** @param  list<Part>  $parts */
    private static function look(array $parts = []): JobRecord
    {
        return new JobRecord(6000.0, '2026-01-15', ReadingPoint::LeverTip, null, null, null, 0.0, $parts);
    }
}
