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
    public function test_three_readings_put_their_own_spread_together_with_what_is_known(): void
    {
        // s of 25.3, 25.0, 25.5 by R, sd(c(25.3,25,25.5)) = 0.2516611478; (5 × 0.3² + 2 × 0.2517²)/7, with 7 degrees of
        // freedom (posterior of a variance with a scaled inverse chi-square before it: Gelman et al., Bayesian Data
        // Analysis, 3.3).
        $u = Uncertainty::ofReadings([25.3, 25.0, 25.5], self::rule(), self::pooled(), 0.5);
        $square = (5 * 0.09 + 2 * 0.2516611478 ** 2) / 7;
        self::assertEqualsWithDelta(25.2666666667, $u->mean, 1e-9);
        self::assertEqualsWithDelta(sqrt($square / 3), $u->repeat, 1e-9);
        self::assertSame(7.0, $u->repeatFreedom);
        self::assertEqualsWithDelta(0.5 / sqrt(12) * sqrt(2), $u->resolution, 1e-12);
        self::assertEqualsWithDelta(sqrt($square / 3 + 0.25 / 6), $u->standard(), 1e-9);
    }

    public function test_readings_on_one_mark_do_not_make_a_hand_steadier_than_a_third_of_the_marks(): void
    {
        $u = Uncertainty::ofReadings([25.0, 25.0, 25.0], self::rule(), Repeatability::pooled(0.0, 200.0), 0.5);
        self::assertEqualsWithDelta(0.5 / 3 / sqrt(3), $u->repeat, 1e-12);
    }

    public function test_readings_that_a_person_stands_by_though_they_do_not_go_together_tell_by_their_own_spread(): void
    {
        $u = Uncertainty::ofReadings([15.0, 15.5, 25.0], self::rule(), self::pooled(), 0.5, false);
        self::assertEqualsWithDelta(5.6347 / sqrt(3), $u->repeat, 1e-3); // R: sd(c(15, 15.5, 25)) = 5.6347
        self::assertSame(2.0, $u->repeatFreedom);
    }

    public function test_play_is_there_with_the_chance_that_its_reading_gives(): void
    {
        // One reading of 0.5 ± 0.3 by 5 degrees of freedom, the marks negligible: P(T > −1.667) = 0.9219 (R:
        // pt(0.5/0.3, 5)).
        $fine = Instrument::of('i', 'i', InstrumentKind::Caliper, 1e-6, 100, null);
        self::assertEqualsWithDelta(
            0.9218,
            Uncertainty::ofReadings([0.5], $fine, self::pooled(), 1e-6)->chanceOfPlay(),
            5e-4,
        );
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
        // Pooled with what is on file: (5 × 0.3² + 2 × 0.1²) / 7, over three readings; a caliper's one mark; no
        // calibration.
        self::assertEqualsWithDelta(
            (5 * 0.09 + 2 * 0.01) / 7 / 3 + 0.05 ** 2 / 12,
            $u->standardOfDifference() ** 2,
            1e-12,
        );
    }

    public function test_what_was_written_coarser_than_it_was_read_is_as_coarse_as_it_looks(): void
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
        // s² = (5 × 0.3² + 2 × 0.1²)/7 over three readings, 7 degrees of freedom; the mark of 0.05 adds 0.05/√12: ν_eff
        // 7.0…, truncated to 7.
        $u = Uncertainty::ofReadings(
            [15.0, 15.1, 15.2],
            Instrument::of('c', 'c', InstrumentKind::Caliper, 0.05, 150, null),
            self::pooled(),
            0.05,
        );
        self::assertSame(7, (int) floor($u->freedom()));
        // t.975 with 7 degrees of freedom: 2.364624251593 (R: qt(.975, 7)).
        self::assertEqualsWithDelta(2.364624251593 * $u->standard(), $u->expanded(), 1e-9);
    }

    public function test_hands_that_differ_make_every_reading_less_sure_and_no_difference(): void
    {
        $studied = self::studied(0.2, 3.0);
        $without = Uncertainty::ofReadings([15.0, 15.1, 15.2], self::caliper(), self::pooled(), 0.05);
        $with = Uncertainty::ofReadings([15.0, 15.1, 15.2], $studied, self::pooled(), 0.05);
        self::assertEqualsWithDelta($without->standard() ** 2 + 0.04, $with->standard() ** 2, 1e-12);
        self::assertEqualsWithDelta(
            $without->standardOfDifference(),
            $with->standardOfDifference(),
            1e-15,
            'one hand takes both',
        );
        self::assertEqualsWithDelta($without->standardOfNext(), $with->standardOfNext(), 1e-15);
        // By G.2b of JCGM 100:2008 with three hands' degrees of freedom beside those of the repeats; the rest is known.
        $u4 = $with->standard() ** 4;
        self::assertEqualsWithDelta($u4 / (0.2 ** 4 / 3 + $with->repeat ** 4 / 7), $with->freedom(), 1e-9);
        self::assertEqualsWithDelta($with->freedom(), $with->spread()->freedom, 1e-9);
        self::assertEqualsWithDelta(
            0.4,
            sqrt(($with->scaled(2.0, 0.0)->standard() ** 2 - $without->scaled(2.0, 0.0)->standard() ** 2)),
            1e-12,
        );
    }

    /**
     * A shop of hands, four of them studied: whoever reads next, the truth lies in what is said of their mean in 95 %.
     */
    public function test_the_truth_lies_within_u_whichever_hand_reads(): void
    {
        mt_srand(1909);
        $normal = static fn (): float => sqrt(-2 * log(max(
            1e-12,
            mt_rand() / mt_getrandmax(),
        ))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
        [$inside, $blind, $runs] = [0, 0, 4000];
        for ($n = 0; $n < $runs; $n++) {
            $hands = array_map(static fn (): float => 0.3 * $normal(), range(0, 3));
            $mean = array_sum($hands) / 4;
            $deviation = sqrt(array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $hands)) / 3);
            $bias = 0.3 * $normal();
            $readings = array_map(static fn (): float => 15.0 + $bias + 0.1 * $normal(), range(0, 2));
            $found = Uncertainty::ofReadings(
                $readings,
                self::studied($deviation, 3.0, 0.001),
                Repeatability::pooled(0.1, 50.0),
                0.001,
            );
            $inside += (int) (abs($found->mean - 15.0) <= $found->expanded());
            $blind += (int) (abs($found->mean - 15.0) <= Uncertainty::ofReadings(
                $readings,
                self::studied(0.0, INF, 0.001),
                Repeatability::pooled(0.1, 50.0),
                0.001,
            )->expanded());
        }
        self::assertGreaterThanOrEqual(0.93 * $runs, $inside);
        self::assertLessThan(0.5 * $runs, $blind, 'without it more than half are wrong');
    }

    private static function studied(float $between, float $freedom, float $resolution = 0.05): Instrument
    {
        return Instrument::of(
            'caliper',
            'Caliper',
            InstrumentKind::Caliper,
            $resolution,
            150,
            Calibration::of($resolution * 0.8, 2.0, null),
            null,
            Repeatability::pooled($between, $freedom),
        );
    }

    private static function rule(): Instrument
    {
        return Instrument::of('rule', 'Steel rule', InstrumentKind::SteelRule, 0.5, 300, null);
    }

    private static function caliper(): Instrument
    {
        return Instrument::of(
            'caliper',
            'Caliper',
            InstrumentKind::Caliper,
            0.05,
            150,
            Calibration::of(0.04, 2.0, null),
        );
    }

    private static function pooled(): Repeatability
    {
        return Repeatability::pooled(0.3, 5.0);
    }
}
