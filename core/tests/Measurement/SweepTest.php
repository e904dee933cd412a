<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Measurement;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Measurement\Sweep;
use VividPull\Core\Spec\SpecBand;

final class SweepTest extends TestCase
{
    public function test_the_straight_band_gives_way_to_the_tightest_and_the_slackest_pose(): void
    {
        // The worked case: 2 to 6 with left −1.2 and right +0.5 leaves 3.2 to 5.5 straight.
        $band = Sweep::of(['left' => ['d' => -1.2, 'u' => 0.0], 'right' => ['d' => 0.5, 'u' => 0.0]])->measuredBand(SpecBand::between(2.0, 6.0));
        self::assertNotNull($band);
        self::assertEqualsWithDelta(3.2, $band->low, 1e-12);
        self::assertEqualsWithDelta(5.5, $band->high, 1e-12);
    }

    public function test_straight_itself_counts_with_zero(): void
    {
        $band = Sweep::of(['left' => ['d' => 0.4, 'u' => 0.0], 'right' => ['d' => 0.6, 'u' => 0.0]])->measuredBand(SpecBand::between(2.0, 6.0));
        self::assertEqualsWithDelta(2.0, $band?->low, 1e-12);
        self::assertEqualsWithDelta(5.4, $band?->high, 1e-12);
    }

    public function test_what_is_not_surely_known_tightens_it(): void
    {
        $band = Sweep::of(['left' => ['d' => -1.0, 'u' => 0.2]])->measuredBand(SpecBand::between(2.0, 6.0));
        self::assertEqualsWithDelta(3.2, $band?->low, 1e-12);
    }

    public function test_a_pose_not_read_is_allowed_for_when_planning_and_not_when_judging(): void
    {
        $sweep = Sweep::of(['left' => null, 'right' => null]);
        self::assertEqualsWithDelta(2.0, $sweep->measuredBand(SpecBand::between(2.0, 6.0))?->low, 1e-12);
        self::assertEqualsWithDelta(2.0 + Sweep::ALLOWANCE, $sweep->plannedBand(SpecBand::between(2.0, 6.0))?->low, 1e-12);
    }

    public function test_a_spread_wider_than_the_band_leaves_none(): void
    {
        $sweep = Sweep::of(['left' => ['d' => -3.0, 'u' => 0.0], 'right' => ['d' => 1.5, 'u' => 0.0]]);
        self::assertNull($sweep->measuredBand(SpecBand::between(2.0, 6.0)));
    }
}
