<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Day;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Day\DayPlan;
use VividPull\Core\Day\MinutesSpent;
use VividPull\Core\Day\Planned;
use VividPull\Core\Day\Readiness;
use VividPull\Core\Day\Waiting;
use VividPull\Core\Practice\SeededChance;

final class DayPlanTest extends TestCase
{
    public function test_cold_comes_first_thing_and_hot_after_running(): void
    {
        self::assertSame(['a', 'b', 'c', 'd', 'e'], self::keys(DayPlan::of([
            self::waiting('e', Readiness::Hot), self::waiting('c', Readiness::Cooling),
            self::waiting('b', Readiness::Any),
            self::waiting('d', Readiness::Soaking), self::waiting('a', Readiness::Cold),
        ], [])));
    }

    public function test_within_a_readiness_what_is_begun_then_what_is_due_then_what_is_short(): void
    {
        self::assertSame(['begun', 'over', 'soon', 'short', 'long'], self::keys(DayPlan::of([
            self::waiting('long', minutes: 40), self::waiting('short', minutes: 8),
            self::waiting('soon', due: '2026-12-01'),
            self::waiting('over', due: '2026-10-01'), self::waiting('begun', begun: true),
        ], [])));
    }

    public function test_controls_under_one_cover_stand_together_and_it_comes_off_once(): void
    {
        $plan = DayPlan::of([
            self::waiting('clutch', machine: 'RT-1', covers: ['side cover' => 6.0], minutes: 12, due: '2026-10-01'),
            self::waiting('other', machine: 'QB-1', minutes: 5, due: '2026-10-02'),
            self::waiting('throttle', machine: 'RT-1', covers: ['side cover' => 6.0, 'boot' => 1.0], minutes: 18),
        ], []);

        self::assertSame(['clutch', 'throttle', 'other'], self::keys($plan));
        self::assertSame([12.0, 12.0, 5.0], array_map(static fn (Planned $one): float => $one->minutes, $plan->jobs));
        self::assertSame(['side cover'], $plan->jobs[1]->coversShared);
        self::assertSame(29.0, $plan->minutes());
    }

    public function test_a_cover_of_another_machine_saves_nothing(): void
    {
        $plan = DayPlan::of(
            [
                self::waiting('a', machine: 'RT-1', covers: ['boot' => 2.0]),
                self::waiting('b', machine: 'RT-2', covers: ['boot' => 2.0]),
            ],
            [],
        );

        self::assertSame([], $plan->jobs[1]->coversShared);
    }

    public function test_what_the_hours_do_not_hold_is_said_and_shorter_ones_still_fit(): void
    {
        $plan = DayPlan::of(
            [
                self::waiting('a', due: '2026-01-01', minutes: 40),
                self::waiting('b', due: '2026-01-02', minutes: 50),
                self::waiting('c', due: '2026-01-03', minutes: 15),
            ],
            ['ines' => 60.0],
        );

        self::assertSame(
            ['ines', null, 'ines'],
            array_map(static fn (Planned $one): ?string => $one->person, $plan->jobs),
        );
    }

    public function test_nobody_is_given_more_than_their_minutes_and_nothing_is_lost(): void
    {
        $chance = new SeededChance(11);
        for ($day = 0; $day < 200; $day++) {
            $present = ['ines' => $chance->between(0, 240), 'tomas' => $chance->between(0, 240)];
            $waiting = array_map(
                static fn (int $n): Waiting => self::waiting(
                    "j{$n}",
                    Readiness::cases()[(int) $chance->between(0, 4.99)],
                    machine: 'M'.(int) $chance->between(0, 4),
                    covers: $chance->between(0, 1) < 0.5 ? ['boot' => 3.0] : [],
                    minutes: 4 + $chance->between(0, 60),
                ),
                range(1, 14),
            );
            $plan = DayPlan::of($waiting, $present);
            self::assertCount(14, array_unique(self::keys($plan)), "day {$day} of seed 11");
            foreach ($present as $person => $minutes) {
                $given = array_sum(array_map(
                    static fn (Planned $one): float => $one->person === $person ? $one->minutes : 0.0,
                    $plan->jobs,
                ));
                self::assertLessThanOrEqual($minutes + 1e-6, $given, "{$person} on day {$day} of seed 11");
            }
        }
    }

    public function test_a_pause_is_no_work(): void
    {
        self::assertEqualsWithDelta((300 + 600) / 60, MinutesSpent::of([0.0, 300.0, 900.0, 900.0 + 901.0]), 1e-12);
        self::assertSame(0.0, MinutesSpent::of([5.0]));
    }

    /** @param  array<string, float>  $covers */
    private static function waiting(
        string $key,
        Readiness $ready = Readiness::Any,
        string $machine = 'X',
        ?string $due = null,
        array $covers = [],
        float $minutes = 10,
        bool $begun = false,
    ): Waiting {
        return new Waiting($key, $machine === 'X' ? $key : $machine, $ready, $due, $covers, $minutes, $begun);
    }

    /** @return list<string> */
    private static function keys(DayPlan $plan): array
    {
        return array_map(static fn (Planned $one): string => $one->waiting->key, $plan->jobs);
    }
}
