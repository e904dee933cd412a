<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Learning;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Learning\Interval;

final class IntervalTest extends TestCase
{
    public function test_certain_shifts_bring_all_of_it_inside_and_possible_ones_some(): void
    {
        [$is, $wanted] = [Interval::between(7.0, 11.0), Interval::between(-5.0, 5.0)];
        self::assertEquals(Interval::between(-12.0, -6.0), $is->certainShiftsInto($wanted));
        self::assertEquals(Interval::between(-16.0, -2.0), $is->possibleShiftsInto($wanted));
    }

    public function test_what_is_wider_than_what_is_wanted_has_no_certain_shift(): void
    {
        self::assertTrue(Interval::between(0.0, 12.0)->certainShiftsInto(Interval::between(-5.0, 5.0))->isEmpty());
        self::assertFalse(
            Interval::between(0.0, 10.0)->certainShiftsInto(Interval::between(-5.0, 5.0))->isEmpty(),
            'one shift is left',
        );
    }

    public function test_a_side_without_end_stays_without_end(): void
    {
        self::assertSame(-INF, Interval::ofEdges(null, 3.0)->from);
        self::assertSame(3.0 + 0.5, Interval::ofEdges(3.0, null)->aim(0.5));
        self::assertSame(3.0 - 0.5, Interval::ofEdges(null, 3.0)->aim(0.5));
        self::assertSame(0.0, Interval::everything()->times(0.0)->to, 'nothing, however far, is still nothing');
        self::assertEquals(Interval::between(-6.0, INF), Interval::between(-INF, 3.0)->times(-2.0));
    }

    public function test_touching_edges_do_not_overlap(): void
    {
        self::assertFalse(Interval::between(5.0, 9.0)->overlaps(Interval::between(-5.0, 5.0)));
        self::assertTrue(Interval::between(4.9, 9.0)->overlaps(Interval::between(-5.0, 5.0)));
    }
}
