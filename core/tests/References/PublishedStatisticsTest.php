<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\References;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\DecisionRule;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Statistics\NormalDistribution;
use VividPull\Core\Statistics\SampleDeviation;
use VividPull\Core\Statistics\StudentDistribution;
use VividPull\Core\Statistics\WelchSatterthwaite;

/** Worked examples of JCGM 100:2008 and JCGM 106:2012 [inputs from memory], and quantiles printed by R 4.2.2. */
final class PublishedStatisticsTest extends TestCase
{
    /** @return iterable<string, array{int, float}> */
    public static function studentQuantiles(): iterable
    {
        yield 'R: qt(.975, 1)' => [1, 12.706204736175];
        yield 'R: qt(.975, 2)' => [2, 4.302652729749];
        yield 'R: qt(.975, 5)' => [5, 2.570581835636];
        yield 'R: qt(.975, 10)' => [10, 2.228138851986];
        yield 'R: qt(.975, 16)' => [16, 2.119905299221];
        yield 'R: qt(.975, 18)' => [18, 2.100922040241];
        yield 'R: qt(.975, 19)' => [19, 2.093024054408];
        yield 'R: qt(.975, 30)' => [30, 2.042272456301];
    }

    #[DataProvider('studentQuantiles')]
    public function test_coverage_factors_agree_with_r(int $freedom, float $factor): void
    {
        self::assertEqualsWithDelta($factor, StudentDistribution::coverageFactor(0.95, $freedom), 1e-10 * $factor);
    }

    public function test_normal_quantiles_agree_with_r(): void
    {
        self::assertEqualsWithDelta(1.959963984540054, NormalDistribution::quantile(0.975), 1e-12); // R: qnorm(.975)
        self::assertEqualsWithDelta(0.975002104851780, NormalDistribution::cumulative(1.96), 1e-13); // R: pnorm(1.96)
    }

    public function test_gum_4_4_3_twenty_temperatures(): void
    {
        // JCGM 100:2008, table 1: mean 100.145, s 1.489, u 0.333 in degrees Celsius.
        $temperatures = [96.90, 98.18, 98.25, 98.61, 99.03, 99.49, 99.56, 99.74, 99.89, 100.07, 100.33, 100.42,
            100.68, 100.95, 101.11, 101.20, 101.57, 101.84, 102.36, 102.72];
        self::assertEqualsWithDelta(100.145, array_sum($temperatures) / 20, 5e-4);
        self::assertEqualsWithDelta(1.489, SampleDeviation::of($temperatures), 5e-4);
        self::assertEqualsWithDelta(0.333, SampleDeviation::of($temperatures) / sqrt(20), 5e-4);
    }

    public function test_gum_g_4_effective_degrees_of_freedom(): void
    {
        // JCGM 100:2008, G.4.1 example: relative u of 0.25, 0.57 and 0.82 % with 9, 4 and 14 degrees of freedom.
        $freedom = WelchSatterthwaite::freedom([
            ['u' => 0.25, 'freedom' => 9.0], ['u' => 0.57, 'freedom' => 4.0], ['u' => 0.82, 'freedom' => 14.0],
        ]);
        self::assertEqualsWithDelta(18.99874, $freedom, 5e-6); // printed as 19.0
    }

    public function test_gum_h_1_end_gauge(): void
    {
        // JCGM 100:2008, H.1.6: 25 nm (18), 9.7 nm (25.6), 2.9 nm (50), 16.6 nm (2): u_c 32 nm, ν_eff 16, U_99 93 nm.
        $parts = [['u' => 25.0, 'freedom' => 18.0], ['u' => 9.7, 'freedom' => 25.6], ['u' => 2.9, 'freedom' => 50.0], ['u' => 16.6, 'freedom' => 2.0]];
        $combined = sqrt(array_sum(array_map(static fn (array $part): float => $part['u'] ** 2, $parts)));
        self::assertEqualsWithDelta(32.0, $combined, 0.5); // printed as 32 nm
        $freedom = WelchSatterthwaite::freedom($parts);
        self::assertSame(16, (int) floor($freedom));
        $factor = StudentDistribution::coverageFactor(0.99, 16);
        self::assertEqualsWithDelta(2.92, $factor, 5e-3);
        self::assertEqualsWithDelta(93.0, $factor * $combined, 0.5);
    }

    public function test_jcgm_106_zener_voltage(): void
    {
        // JCGM 106:2012, 7.3.2 kind: an upper limit 1.4 standard uncertainties above the estimate conforms with 0.9192.
        $band = SpecBand::between(null, 10.0 + 1.4 * 0.1);
        self::assertEqualsWithDelta(0.9192, Conformity::chanceInside(10.0, 0.1, $band), 5e-5);
    }

    /** @return iterable<string, array{float, float}> */
    public static function guardBands(): iterable
    {
        yield 'R: uniroot of pnorm((11-x)/.1)-pnorm((9-x)/.1)-.95' => [0.1, 9.164485];
        yield 'R: the same with u = 0.4, where both tails count' => [0.4, 9.659507];
    }

    #[DataProvider('guardBands')]
    public function test_the_guarded_acceptance_interval_agrees_with_r(float $u, float $from): void
    {
        $accepted = Conformity::acceptance(SpecBand::between(9.0, 11.0), $u, DecisionRule::Guarded);
        self::assertNotNull($accepted);
        self::assertEqualsWithDelta($from, $accepted[0], 1e-6);
        self::assertEqualsWithDelta(20.0 - $from, $accepted[1], 1e-6);
    }
}
