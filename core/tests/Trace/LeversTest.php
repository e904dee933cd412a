<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Trace;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Practice\LeverTable;
use VividPull\Core\Practice\PulledLever;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Trace\Branch;
use VividPull\Core\Trace\Curve;
use VividPull\Core\Trace\PullTrace;
use VividPull\Core\Trace\TraceReading;
use VividPull\Core\Trace\WorkingEnd;

/** Levers with known breaks; `bin/vivid levers` prints a thousand of each kind, these are the first of them. */
final class LeversTest extends TestCase
{
    public function test_the_play_lies_in_its_stated_range_as_often_as_it_says(): void
    {
        $table = LeverTable::of(100, 2000, false);

        self::assertGreaterThanOrEqual(95, $table->read);
        self::assertGreaterThanOrEqual(0.92, $table->held);
        self::assertLessThan(0.1, $table->halfWidth, 'mm');
        self::assertLessThan(0.01, $table->efficiencyOff);
        self::assertSame(0, $table->no, 'no right arm is called a wrong one');
    }

    public function test_a_wrong_spline_is_found(): void
    {
        $table = LeverTable::of(60, 2000, true);

        self::assertGreaterThanOrEqual(57, $table->no);
        self::assertSame(0, $table->yes);
    }

    public function test_few_points_by_a_slow_hand_are_read_too(): void
    {
        $table = LeverTable::of(50, 400, false);

        self::assertGreaterThanOrEqual(0.88, $table->held);
        self::assertSame(0, $table->no);
    }

    public function test_a_place_where_the_wire_catches_is_found_and_not_taken_for_a_phase(): void
    {
        $found = $near = 0;
        for ($seed = 1; $seed <= 25; $seed++) {
            $chance = new SeededChance($seed);
            $lever = PulledLever::drawn($chance);
            $trace = $lever->pulled($chance, 2000);
            $at = $chance->between(0.45, 0.75) * $trace->pull->reach();
            $force = [];
            foreach ($trace->pull->travel as $place => $mm) {
                $force[] = $trace->pull->force[$place] + 8.0 * exp(-(($mm - $at) / 0.4) ** 2);
            }
            $caught = TraceReading::of(
                PullTrace::of(Branch::of($trace->pull->travel, $force), null),
                WorkingEnd::ClutchSprings,
            );
            $found += (int) ($caught->snags() !== []);
            foreach ($caught->snags() as $snag) {
                $near += (int) (abs($snag->atMm - $at) < 1.0 && $snag->newtons > 4.0);
            }
            self::assertEqualsWithDelta($lever->playMm, $caught->play() ?? $lever->playMm, 1.0, "seed {$seed}");
        }

        self::assertGreaterThanOrEqual(24, $found);
        self::assertSame($found, $near, 'each where it is, and no other');
    }

    public function test_nothing_catches_on_a_sound_wire(): void
    {
        $false = 0;
        for ($seed = 1; $seed <= 60; $seed++) {
            $chance = new SeededChance($seed);
            $false += (int) (Curve::of(PulledLever::drawn($chance)->pulled($chance, 2000)->pull)->snags() !== []);
        }

        self::assertLessThanOrEqual(1, $false);
    }
}
