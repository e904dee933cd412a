<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Measurement;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Measurement\Calibration;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Measurement\Repeatability;
use VividPull\Core\Measurement\Uncertainty;

final class UncertaintyTest extends TestCase
{
    public function test_three_readings_use_their_own_spread(): void
    {
        // s of 25.3, 25.0, 25.5 is √((0.1 − 1/30)² …): worked with R, sd(c(25.3,25,25.5)) = 0.2516611478.
        $u = Uncertainty::ofReadings([25.3, 25.0, 25.5], self::rule(), self::pooled(), 0.5);
        self::assertEqualsWithDelta(25.2666666667, $u->mean, 1e-9);
        self::assertEqualsWithDelta(0.2516611478 / sqrt(3), $u->repeat, 1e-9);
        self::assertEqualsWithDelta(0.5 / sqrt(12) * sqrt(2), $u->resolution, 1e-12);
        self::assertEqualsWithDelta(sqrt(0.2516611478 ** 2 / 3 + 0.25 / 6), $u->standard(), 1e-9);
    }

    public function test_one_reading_leans_on_what_is_on_file_for_the_person(): void
    {
        $u = Uncertainty::ofReadings([25.0], self::rule(), Repeatability::pooled(0.2, 12.0), 0.5);
        self::assertEqualsWithDelta(0.2, $u->repeat, 1e-15);
        self::assertSame(12.0, $u->repeatFreedom);
    }

    public function test_two_marks_read_count_twice_and_one_mark_once(): void
    {
        $rule = Uncertainty::ofReadings([25.0], self::rule(), self::pooled(), 0.5);
        $caliper = Uncertainty::ofReadings([25.0], self::caliper(), self::pooled(), 0.05);
        self::assertEqualsWithDelta(0.5 / sqrt(6), $rule->resolution, 1e-15);
        self::assertEqualsWithDelta(0.05 / sqrt(12), $caliper->resolution, 1e-15);
    }

    public function test_calibration_cancels_in_differences(): void
    {
        $u = Uncertainty::ofReadings([25.0, 25.1, 25.2], self::caliper(), self::pooled(), 0.05);
        self::assertEqualsWithDelta(0.02, $u->calibration, 1e-15); // U 0.04 at k = 2
        // Pooled with what is on file: (5 × 0.3² + 2 × 0.1²) / 7, over three readings; a caliper's one mark; no calibration.
        self::assertEqualsWithDelta((5 * 0.09 + 2 * 0.01) / 7 / 3 + 0.05 ** 2 / 12, $u->standardOfDifference() ** 2, 1e-12);
    }

    public function test_writing_in_thirty_seconds_is_as_coarse_as_it_looks(): void
    {
        $fine = Uncertainty::ofReadings([26.0], self::caliper(), self::pooled(), 0.05);
        $coarse = Uncertainty::ofReadings([26.0], self::caliper(), self::pooled(), 25.4 / 32);
        self::assertEqualsWithDelta(25.4 / 32 / sqrt(12), $coarse->resolution, 1e-15);
        self::assertGreaterThan($fine->expanded(), $coarse->expanded());
    }

    public function test_more_readings_never_make_it_less_sure(): void
    {
        $before = INF;
        for ($n = 1; $n <= 12; $n++) {
            $u = Uncertainty::expected(15.0, $n, self::rule(), self::pooled())->standard();
            self::assertLessThan($before, $u);
            $before = $u;
        }
    }

    public function test_u_is_students_factor_times_the_combined_uncertainty(): void
    {
        // repeat 0.1/√3 with 2 degrees of freedom, resolution 0.05/√12 exact: R gives ν_eff 2.255…, truncated to 2.
        $u = Uncertainty::ofReadings([15.0, 15.1, 15.2], Instrument::of('c', 'c', InstrumentKind::Caliper, 0.05, 150, null), self::pooled(), 0.05);
        self::assertSame(2, (int) floor($u->freedom()));
        self::assertEqualsWithDelta(4.302652729749 * $u->standard(), $u->expanded(), 1e-9);
    }

    private static function rule(): Instrument
    {
        return Instrument::of('rule', 'Steel rule', InstrumentKind::SteelRule, 0.5, 300, null);
    }

    private static function caliper(): Instrument
    {
        return Instrument::of('caliper', 'Caliper', InstrumentKind::Caliper, 0.05, 150, Calibration::of(0.04, 2.0, null));
    }

    private static function pooled(): Repeatability
    {
        return Repeatability::pooled(0.3, 5.0);
    }
}
