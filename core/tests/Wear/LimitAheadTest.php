<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wear;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Statistics\StudentDistribution;
use VividPull\Core\Wear\LimitAhead;
use VividPull\Core\Wear\Play;

final class LimitAheadTest extends TestCase
{
    private const FREEDOM = 4.0;

    private const FARTHEST = 1e6;

    /** Whatever the formula, the bound is where the 95 % line first touches the edge: the line itself says so. */
    public function test_at_the_bound_the_line_of_95_percent_touches_the_edge_for_the_first_time(): void
    {
        $chance = new SeededChance(14);
        $reached = 0;
        for ($n = 0; $n < 3000; $n++) {
            [$limit, $from, $standard] = [
                $chance->between(0, 30),
                $chance->between(0.5, 30),
                $chance->between(0.02, 0.6),
            ];
            [$slope, $error] = [$chance->between(-0.01, 0.01), $chance->between(0.00001, 0.003)];
            $bound = LimitAhead::of(
                $limit,
                new Play($from, $standard),
                $slope,
                $error,
                self::FREEDOM,
                self::FARTHEST,
            )->bound;
            $beyond = static fn (float $use): float => self::line($use, $limit, $from, $standard, $slope, $error);
            if ($bound === null) {
                self::assertLessThan(
                    1e-6,
                    max(array_map($beyond, [0.0, 100.0, 3e3, 1e5, 9e5])),
                    "{$n} of seed 14: the edge is never reached",
                );

                continue;
            }
            $reached++;
            if ($bound > 0.0) {
                // Truncated degrees of freedom make the line step now and then: it touches there, or steps over.
                self::assertGreaterThanOrEqual(-1e-6 * (1 + abs($slope) * $bound), $beyond($bound), "{$n} of seed 14");
                self::assertLessThanOrEqual(1e-6, $beyond($bound * (1 - 1e-6)), "{$n} of seed 14");
                self::assertLessThanOrEqual(
                    1e-6,
                    max($beyond(0.0), $beyond(0.3 * $bound), $beyond(0.9 * $bound)),
                    "{$n} of seed 14: not before",
                );
            } else {
                self::assertGreaterThanOrEqual(-1e-9, $beyond(0.0), "{$n} of seed 14: it may be there already");
            }
        }
        self::assertGreaterThan(1000, $reached);
    }

    public function test_it_is_never_bounded_later_than_it_is_expected(): void
    {
        $chance = new SeededChance(15);
        for ($n = 0; $n < 1000; $n++) {
            $ahead = LimitAhead::of(
                $chance->between(0, 30),
                new Play($chance->between(0.5, 30), 0.2),
                $chance->between(-0.01, 0.01),
                $chance->between(0, 0.002),
                self::FREEDOM,
                self::FARTHEST,
            );
            self::assertTrue(
                $ahead->expected === null || ($ahead->bound !== null && $ahead->bound <= $ahead->expected + 1e-6),
                "{$n} of seed 15",
            );
        }
    }

    public function test_a_rate_that_is_known_exactly_leaves_only_the_readings_own_part(): void
    {
        $ahead = LimitAhead::of(10.0, new Play(16.0, 0.0), -0.003, 0.0, self::FREEDOM, self::FARTHEST);
        self::assertEqualsWithDelta(2000.0, $ahead->expected, 1e-9);
        self::assertEqualsWithDelta(2000.0, $ahead->bound, 1e-4);
        self::assertNull(
            LimitAhead::of(20.0, new Play(16.0, 0.0), -0.003, 0.0, self::FREEDOM, self::FARTHEST)->bound,
            'it goes the other way',
        );
    }

    /** How far the bound of the play lies beyond the edge after so much use, in mm; below zero it is not there yet. */
    private static function line(
        float $use,
        float $limit,
        float $from,
        float $standard,
        float $slope,
        float $error,
    ): float {
        $way = $limit < $from ? -1.0 : 1.0;

        $u = hypot($standard, $error * $use);
        $freedom = $use <= 0.0 ? 1e9 : floor(min(1e9, $u ** 4 / (($error * $use) ** 4 / self::FREEDOM)));

        return $way * ($from + $slope * $use - $limit) + StudentDistribution::coverageFactor(0.90, (int) $freedom) * $u;
    }
}
