<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Procedure;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Procedure\LeverPull;

final class LeverPullTest extends TestCase
{
    public function test_50_newtons_pulling_and_30_letting_back(): void
    {
        $pull = LeverPull::of(50, 30);
        self::assertEqualsWithDelta(sqrt(1500), $pull->tension(), 1e-9);
        self::assertEqualsWithDelta(sqrt(0.6), $pull->efficiency(), 1e-9);
        self::assertEqualsWithDelta(-0.5 * log(0.6), $pull->friction(), 1e-9);
        self::assertEqualsWithDelta(38.73, $pull->tension(), 0.005);
        self::assertEqualsWithDelta(0.2554, $pull->friction(), 0.00005);
    }

    public function test_one_turn_of_a_rope_round_a_post_is_the_capstan_equation(): void
    {
        // Capstan equation T₂/T₁ = e^(μθ), one turn at μ 0.1, 0.2 and 0.3: 1.8745, 3.5136, 6.5861 (textbook values,
        // recomputed in R).
        foreach ([[0.1, 1.8745], [0.2, 3.5136], [0.3, 6.5861]] as [$mu, $factor]) {
            $pull = LeverPull::of(40 * $factor, 40 / $factor);
            self::assertEqualsWithDelta(40.0, $pull->tension(), 1e-9);
            self::assertEqualsWithDelta($mu * 2 * M_PI, $pull->friction(), 5e-5);
        }
    }

    public function test_a_force_moves_along_a_lever_by_its_moment(): void
    {
        self::assertEqualsWithDelta(46 * 120 / 90, LeverPull::converted(46, 120, 90), 1e-9);
        $this->expectException(OutOfRange::class);
        LeverPull::converted(46, 120, 0);
    }

    public function test_friction_works_against_both_ways(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('the pull is the greater');
        LeverPull::of(30, 31);
    }
}
