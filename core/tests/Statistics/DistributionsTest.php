<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Statistics;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Statistics\NormalDistribution;
use VividPull\Core\Statistics\SampleDeviation;
use VividPull\Core\Statistics\StudentDistribution;
use VividPull\Core\Statistics\WelchSatterthwaite;

final class DistributionsTest extends TestCase
{
    public function test_the_normal_curve_is_the_slope_of_its_cumulative(): void
    {
        for ($z = -6.0; $z <= 6.0; $z += 0.25) {
            $slope = (NormalDistribution::cumulative($z + 1e-5) - NormalDistribution::cumulative($z - 1e-5)) / 2e-5;
            self::assertEqualsWithDelta(NormalDistribution::density($z), $slope, 1e-9, "z = {$z}");
        }
    }

    public function test_both_sides_of_the_normal_curve_add_up_to_one(): void
    {
        foreach ([0.0, 0.3, 1.0, 3.3, 6.9, 7.2, 12.0, 40.0] as $z) {
            self::assertEqualsWithDelta(
                1.0,
                NormalDistribution::cumulative($z) + NormalDistribution::cumulative(-$z),
                1e-15,
                "z = {$z}",
            );
        }
    }

    public function test_a_quantile_undoes_its_probability(): void
    {
        for ($p = 0.001; $p < 1.0; $p += 0.037) {
            self::assertEqualsWithDelta(
                $p,
                NormalDistribution::cumulative(NormalDistribution::quantile($p)),
                1e-12,
                "p = {$p}",
            );
        }
    }

    public function test_a_probability_lies_between_nothing_and_all(): void
    {
        foreach ([0.0, 1.0, -0.1, 1.1] as $p) {
            try {
                NormalDistribution::quantile($p);
                self::fail("{$p} was taken.");
            } catch (OutOfRange $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }

    public function test_students_factor_falls_with_every_degree_of_freedom_towards_the_normal_one(): void
    {
        $before = INF;
        foreach ([1, 2, 3, 5, 8, 13, 30, 100, 399, 401, 5000, 1_000_000] as $freedom) {
            $factor = StudentDistribution::coverageFactor(0.95, $freedom);
            self::assertLessThan($before, $factor, "ν = {$freedom}");
            $before = $factor;
        }
        self::assertEqualsWithDelta(NormalDistribution::quantile(0.975), $before, 1e-5);
    }

    public function test_students_factor_undoes_its_coverage(): void
    {
        foreach ([1, 2, 7, 24, 150] as $freedom) {
            foreach ([0.5, 0.9, 0.95, 0.99, 0.999] as $coverage) {
                self::assertEqualsWithDelta(
                    $coverage,
                    StudentDistribution::within(StudentDistribution::coverageFactor($coverage, $freedom), $freedom),
                    1e-11,
                );
            }
        }
    }

    public function test_students_quantile_undoes_its_cumulative_also_where_it_counts_as_normal(): void
    {
        foreach ([1.0, 2.7, 24.0, 399.5, 400.5, 1e6, INF] as $freedom) {
            foreach ([0.6, 0.8, 0.95, 0.995] as $p) {
                self::assertEqualsWithDelta(
                    $p,
                    StudentDistribution::cumulative(StudentDistribution::quantile($p, $freedom), $freedom),
                    1e-11,
                    "ν = {$freedom}, p = {$p}",
                );
            }
        }
    }

    public function test_one_degree_of_freedom_is_cauchys_curve(): void
    {
        foreach ([0.5, 1.0, 3.0] as $t) {
            self::assertEqualsWithDelta(2 / M_PI * atan($t), StudentDistribution::within($t, 1), 1e-14);
        }
    }

    public function test_no_degrees_of_freedom_tell_nothing(): void
    {
        $this->expectException(OutOfRange::class);
        StudentDistribution::coverageFactor(0.95, 0);
    }

    public function test_a_deviation_needs_two_values_and_does_not_mind_where_they_lie(): void
    {
        self::assertEqualsWithDelta(sqrt(0.5), SampleDeviation::of([1.0, 2.0]), 1e-15);
        self::assertEqualsWithDelta(sqrt(0.5), SampleDeviation::of([1e6 + 1, 1e6 + 2]), 1e-9);
        $this->expectException(OutOfRange::class);
        SampleDeviation::of([1.0]);
    }

    public function test_parts_known_exactly_add_certainty_and_no_doubt(): void
    {
        self::assertSame(INF, WelchSatterthwaite::freedom([['u' => 0.2, 'freedom' => INF]]));
        self::assertEqualsWithDelta(9.0, WelchSatterthwaite::freedom([['u' => 0.2, 'freedom' => 9.0]]), 1e-12);
        self::assertGreaterThan(
            9.0,
            WelchSatterthwaite::freedom([['u' => 0.2, 'freedom' => 9.0], ['u' => 0.2, 'freedom' => INF]]),
        );
    }
}
