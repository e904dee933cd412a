<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Learning;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Learning\HalfPlane;
use VividPull\Core\Learning\OffsetBounds;
use VividPull\Core\Tests\Support\Chance;

final class OffsetBoundsTest extends TestCase
{
    public function test_of_one_offset_the_bounds_are_an_interval(): void
    {
        $bounds = OffsetBounds::of(
            1,
            [new HalfPlane([1.0], 7.0), new HalfPlane([1.0], 3.0), new HalfPlane([-1.0], -11.0)],
        );
        self::assertNotNull($bounds);
        self::assertEqualsWithDelta(7.0, $bounds->least([1.0]), 1e-9);
        self::assertEqualsWithDelta(11.0, $bounds->most([1.0]), 1e-9);
        self::assertEqualsWithDelta(-22.0, $bounds->least([-2.0]), 1e-9);
    }

    public function test_a_side_that_nothing_bounds_is_without_end(): void
    {
        $bounds = OffsetBounds::of(2, [new HalfPlane([1.0, 1.0], 4.0)]);
        self::assertNotNull($bounds);
        self::assertEqualsWithDelta(4.0, $bounds->least([1.0, 1.0]), 1e-9);
        self::assertSame(INF, $bounds->most([1.0, 1.0]));
        self::assertSame(-INF, $bounds->least([1.0, 0.0]));
    }

    public function test_bounds_that_contradict_each_other_are_no_offset(): void
    {
        self::assertNull(OffsetBounds::of(1, [new HalfPlane([1.0], 3.0), new HalfPlane([-1.0], -2.0)]));
        self::assertNull(OffsetBounds::of(
            3,
            [new HalfPlane([1.0, 1.0, 0.0], 3.0), new HalfPlane([-1.0, -1.0, 0.0], -2.0)],
        ));
        self::assertNull(OffsetBounds::of(1, [new HalfPlane([0.0], 1.0)]), 'nothing can weigh what has no weight');
    }

    public function test_the_corners_hold_what_trying_every_point_of_a_grid_finds(): void
    {
        $chance = new Chance(4711);
        $solved = 0;
        for ($case = 0; $case < 200; $case++) {
            $planes = [
                new HalfPlane([1.0, 0.0], 0.0),
                new HalfPlane([0.0, 1.0], 0.0),
                new HalfPlane([-1.0, 0.0], -20.0),
                new HalfPlane([0.0, -1.0], -20.0),
            ];
            for ($n = $chance->whole(1, 4); $n > 0; $n--) {
                $planes[] = new HalfPlane(
                    [(float) $chance->whole(-3, 3), (float) $chance->whole(-3, 3)],
                    (float) $chance->whole(-20, 20),
                );
            }
            $weights = [(float) $chance->whole(-2, 2), (float) $chance->whole(-2, 2)];
            $tried = self::tried($planes, $weights);
            $bounds = OffsetBounds::of(2, $planes);
            if ($tried === null) {
                continue;
            }
            self::assertNotNull($bounds, "seed {$chance->seed}, case {$case}");
            // A grid of halves misses a corner by at most half a step each way, times the weights.
            $miss = 0.5 * (abs($weights[0]) + abs($weights[1])) * 3 + 1e-9;
            self::assertLessThanOrEqual($tried + 1e-9, $bounds->least($weights), "seed {$chance->seed}, case {$case}");
            self::assertGreaterThanOrEqual(
                $tried - $miss,
                $bounds->least($weights),
                "seed {$chance->seed}, case {$case}",
            );
            $solved++;
        }
        self::assertGreaterThan(100, $solved);
    }

    /**
     * @param  list<HalfPlane>  $planes
     * @param  list<float>  $weights
     */
    private static function tried(array $planes, array $weights): ?float
    {
        $least = null;
        for ($x = 0.0; $x <= 20.0; $x += 0.5) {
            for ($y = 0.0; $y <= 20.0; $y += 0.5) {
                if (array_filter($planes, static fn (HalfPlane $one): bool => ! $one->holds([$x, $y], 0.0)) === []) {
                    $least = min($least ?? INF, $weights[0] * $x + $weights[1] * $y);
                }
            }
        }

        return $least;
    }
}
