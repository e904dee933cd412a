<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\References;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\Spread;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Statistics\SampleDeviation;
use VividPull\Core\Statistics\StudentDistribution;
use VividPull\Core\Statistics\WelchSatterthwaite;

/**
 * What the worked examples of JCGM 100:2008 print beside the values stored with their commands [inputs from memory].
 */
final class PublishedStatisticsTest extends TestCase
{
    public function test_gum_4_4_3_twenty_temperatures(): void
    {
        // JCGM 100:2008, table 1: u 0.333 in degrees Celsius.
        $temperatures = [96.90, 98.18, 98.25, 98.61, 99.03, 99.49, 99.56, 99.74, 99.89, 100.07, 100.33, 100.42,
            100.68, 100.95, 101.11, 101.20, 101.57, 101.84, 102.36, 102.72];
        self::assertEqualsWithDelta(0.333, SampleDeviation::of($temperatures) / sqrt(20), 5e-4);
    }

    public function test_gum_h_1_end_gauge(): void
    {
        // JCGM 100:2008, H.1.6: 25 nm (18), 9.7 nm (25.6), 2.9 nm (50), 16.6 nm (2): u_c 32 nm, ν_eff 16, U_99 93 nm.
        $parts = [
            ['u' => 25.0, 'freedom' => 18.0],
            ['u' => 9.7, 'freedom' => 25.6],
            ['u' => 2.9, 'freedom' => 50.0],
            ['u' => 16.6, 'freedom' => 2.0],
        ];
        $combined = sqrt(array_sum(array_map(static fn (array $part): float => $part['u'] ** 2, $parts)));
        self::assertEqualsWithDelta(32.0, $combined, 0.5); // printed as 32 nm
        self::assertSame(16, (int) floor(WelchSatterthwaite::freedom($parts)));
        self::assertEqualsWithDelta(93.0, StudentDistribution::coverageFactor(0.99, 16) * $combined, 0.5);
    }

    public function test_the_upper_end_of_a_guarded_band_mirrors_the_lower(): void
    {
        foreach ([0.1, 0.4] as $u) {
            $accepted = Conformity::acceptance(SpecBand::between(9.0, 11.0), Spread::of($u), DecisionRule::Guarded);
            self::assertNotNull($accepted);
            self::assertEqualsWithDelta(20.0, $accepted[0] + $accepted[1], 1e-9);
        }
    }
}
