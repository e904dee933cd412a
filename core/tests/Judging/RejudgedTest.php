<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Judging;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Judging\Rejudged;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;

/** What a new version of a spec would have said of what was signed. */
final class RejudgedTest extends TestCase
{
    public function test_a_band_that_moved_changes_what_the_same_reading_is_called(): void
    {
        $said = static fn (float $low, float $high): VerdictKind => Rejudged::by(
            SpecBand::between($low, $high),
            DecisionRule::Guarded,
            15.0,
            0.2,
        )->kind;
        self::assertSame(VerdictKind::Inside, $said(10, 20));
        self::assertSame(VerdictKind::TooLoose, $said(8, 14));
        self::assertSame(VerdictKind::TooTight, $said(16, 22));
        self::assertSame(VerdictKind::CantTell, $said(10, 15.1));
    }

    public function test_no_play_is_taut_whatever_the_band(): void
    {
        self::assertSame(
            VerdictKind::Taut,
            Rejudged::by(SpecBand::between(null, 3), DecisionRule::Plain, 0.0, 0.2)->kind,
        );
    }

    /**
     * The probability of conformity is a difference of two normal distribution functions: JCGM 106:2012, 7.3. Here
     * against thrown values.
     */
    public function test_its_chance_is_the_share_of_true_values_inside(): void
    {
        $chance = new SeededChance(106);
        foreach ([
            [10.0, 20.0, 10.2, 0.4],
            [10.0, 20.0, 19.0, 1.0],
            [2.0, 6.0, 4.0, 2.5],
            [8.0, null, 8.3, 0.3],
            [null, 3.0, 2.9, 0.25],
        ] as [$low, $high, $mean, $standard]) {
            $inside = 0;
            for ($n = 0; $n < 40_000; $n++) {
                $true = $mean + $standard * $chance->normal();
                $inside += (int) (($low === null || $true >= $low) && ($high === null || $true <= $high));
            }
            self::assertEqualsWithDelta(
                $inside / 40_000,
                Rejudged::by(SpecBand::between($low, $high), DecisionRule::Guarded, $mean, $standard)->chance,
                0.012,
                "seed 106, {$mean} ± {$standard}",
            );
        }
    }

    /** A wider band never makes a reading worse, and a sharper one never turns a sure verdict about. */
    public function test_a_wider_band_never_lowers_the_chance(): void
    {
        $chance = new SeededChance(7);
        for ($n = 0; $n < 500; $n++) {
            [$low, $width, $mean, $standard] = [
                $chance->between(1, 10),
                $chance->between(1, 10),
                $chance->between(0.5, 25),
                $chance->between(0.05, 2),
            ];
            $narrow = Rejudged::by(SpecBand::between($low, $low + $width), DecisionRule::Guarded, $mean, $standard);
            $wide = Rejudged::by(
                SpecBand::between($low - 0.5, $low + $width + 0.5),
                DecisionRule::Guarded,
                $mean,
                $standard,
            );
            self::assertGreaterThanOrEqual($narrow->chance - 1e-12, $wide->chance, "{$n} of seed 7");
            self::assertFalse(
                $narrow->kind === VerdictKind::Inside && $wide->kind !== VerdictKind::Inside,
                "{$n} of seed 7",
            );
        }
    }
}
