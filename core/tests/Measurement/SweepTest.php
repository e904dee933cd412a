<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Measurement;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Measurement\Repeatability;
use VividPull\Core\Measurement\Sweep;
use VividPull\Core\Measurement\Uncertainty;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Tests\Support\Chance;

final class SweepTest extends TestCase
{
    public function test_the_straight_band_gives_way_to_the_tightest_and_the_slackest_pose(): void
    {
        // The worked case: 2 to 6 with left −1.2 and right +0.5 leaves 3.2 to 5.5 straight.
        $sweep = Sweep::of(['left' => ['d' => -1.2, 'u' => 0.0], 'right' => ['d' => 0.5, 'u' => 0.0]]);
        foreach ([
            $sweep->plannedBand(SpecBand::between(2.0, 6.0)),
            $sweep->foreseen(SpecBand::between(2.0, 6.0), ['left', 'right']),
        ] as $band) {
            self::assertEqualsWithDelta(3.2, $band->low, 1e-12);
            self::assertEqualsWithDelta(5.5, $band->high, 1e-12);
        }
    }

    public function test_straight_itself_counts_with_zero(): void
    {
        $band = Sweep::of([
            'left' => ['d' => 0.4, 'u' => 0.0],
            'right' => ['d' => 0.6, 'u' => 0.0],
        ])->plannedBand(SpecBand::between(2.0, 6.0));
        self::assertEqualsWithDelta(2.0, $band->low, 1e-12);
        self::assertEqualsWithDelta(5.4, $band->high, 1e-12);
    }

    public function test_the_uncertainty_of_a_difference_is_counted_once(): void
    {
        // The reading's own u is in the verdict; of u(d) = 0.2 half comes on top when planning, and nothing when
        // judging.
        $sweep = Sweep::of(['left' => ['d' => -1.0, 'u' => 0.2]]);
        self::assertEqualsWithDelta(3.1, $sweep->plannedBand(SpecBand::between(2.0, 6.0))->low, 1e-12);
        self::assertEqualsWithDelta(3.0, $sweep->foreseen(SpecBand::between(2.0, 6.0), ['left'])->low, 1e-12);
    }

    public function test_a_pose_read_since_the_last_move_is_judged_by_its_own_reading_and_foresees_nothing(): void
    {
        $sweep = Sweep::of(['left' => ['d' => -1.2, 'u' => 0.0], 'right' => null]);
        self::assertEqualsWithDelta(2.0, $sweep->foreseen(SpecBand::between(2.0, 6.0), ['right'])->low, 1e-12);
    }

    public function test_a_pose_nobody_read_is_allowed_for_when_planning_and_never_when_judging(): void
    {
        $sweep = Sweep::of(['left' => null, 'right' => null]);
        self::assertEqualsWithDelta(2.0, $sweep->foreseen(SpecBand::between(2.0, 6.0), ['left', 'right'])->low, 1e-12);
        self::assertEqualsWithDelta(
            2.0 + Sweep::ALLOWANCE,
            $sweep->plannedBand(SpecBand::between(2.0, 6.0))->low,
            1e-12,
        );
        $narrow = $sweep->plannedBand(SpecBand::between(2.0, 3.0));
        self::assertEqualsWithDelta(
            1 / 3,
            (float) $narrow->high - (float) $narrow->low,
            1e-9,
            'an allowance never eats a band up',
        );
        self::assertFalse($sweep->isWiderThan(SpecBand::between(2.0, 3.0)), 'nor does it accuse a cable');
    }

    public function test_a_routing_fault_wants_the_spread_to_be_wider_than_the_band_with_all_certainty(): void
    {
        $pair = static fn (float $apart, float $u): Sweep => Sweep::of(
            [],
            [['apart' => $apart, 'u' => $u, 'freedom' => INF]],
        );
        // One pair: 1.645 u beyond the width of 4.
        self::assertTrue($pair(4.34, 0.2)->isWiderThan(SpecBand::between(2.0, 6.0)));
        self::assertFalse($pair(4.32, 0.2)->isWiderThan(SpecBand::between(2.0, 6.0)));
        self::assertFalse(
            $pair(40.0, 0.2)->isWiderThan(SpecBand::between(2.0, null)),
            'a band without an end holds any spread',
        );
        $middle = Sweep::of([
            'left' => ['d' => -3.0, 'u' => 0.0],
            'right' => ['d' => 1.5, 'u' => 0.0],
        ])->plannedBand(SpecBand::between(2.0, 6.0));
        self::assertEqualsWithDelta(
            4.75,
            ((float) $middle->low + (float) $middle->high) / 2,
            1e-9,
            'until then the best there is: between 2 + 3 and 6 − 1.5',
        );
    }

    /**
     * Equal poses read with the usual noise of a rule: at most one in twenty is called a fault, for any band and any
     * number of readings.
     */
    public function test_equal_poses_are_hardly_ever_called_a_fault(): void
    {
        $chance = new Chance(405);
        $instrument = Instrument::of('rule', 'rule', InstrumentKind::SteelRule, 0.5, 300, null);
        foreach ([[0.2, 1], [0.5, 1], [1.0, 3], [0.3, 10]] as [$width, $n]) {
            $false = 0;
            for ($case = 0; $case < 400; $case++) {
                $found = [];
                for ($pose = 0; $pose < 3; $pose++) {
                    $values = array_map(
                        static fn (): float => max(0.0, round($chance->normal(3.0, 0.3) / 0.5) * 0.5),
                        range(1, $n),
                    );
                    $found[] = Uncertainty::ofReadings(
                        $values,
                        $instrument,
                        Repeatability::usualFor(InstrumentKind::SteelRule),
                        0.5,
                    );
                }
                $pairs = array_map(
                    static fn (array $two): array => [
                        'apart' => abs($found[$two[0]]->mean - $found[$two[1]]->mean),
                        'u' => hypot($found[$two[0]]->standardOfDifference(), $found[$two[1]]->standardOfDifference()),
                        'freedom' => min($found[$two[0]]->freedom(), $found[$two[1]]->freedom()),
                    ],
                    [[0, 1], [0, 2], [1, 2]],
                );
                $false += (int) Sweep::of([], $pairs)->isWiderThan(SpecBand::between(
                    3.0 - $width / 2,
                    3.0 + $width / 2,
                ));
            }
            self::assertLessThanOrEqual(20, $false, "seed 405, band {$width}, n {$n}");
        }
    }

    public function test_a_route_is_not_blamed_for_a_band_that_is_too_narrow_for_the_step(): void
    {
        $sweep = static fn (float $apart): Sweep => Sweep::of([], [['apart' => $apart, 'u' => 0.05, 'freedom' => 10.0]]);
        $band = SpecBand::between(2.0, 3.7);
        self::assertNull($sweep(0.1)->leavesTooLittleOf($band, 1.65), 'a step takes all of it, and the bars next to nothing');
        self::assertNull($sweep(0.5)->leavesTooLittleOf($band, 2.0));
        self::assertSame(0.6, $sweep(0.6)->leavesTooLittleOf($band, 2.0), 'a third of it and more');
        self::assertNull($sweep(0.6)->leavesTooLittleOf($band, 1.0), 'what is left is room enough');
    }
}
