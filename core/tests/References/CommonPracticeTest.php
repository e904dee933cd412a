<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\References;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\FamilyKey;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Tests\Support\TestJob;

/** Facts of the trade: common practice, no source. */
final class CommonPracticeTest extends TestCase
{
    public function test_the_same_slack_reads_several_times_more_at_the_tip_than_at_the_perch(): void
    {
        // Common practice, no source: a tip reading is several times the perch gap.
        $job = TestJob::clutch();
        $tip = $job->state->run->couplings->all()['lever_tip']->value;
        $gap = $job->state->run->couplings->all()['perch_gap']->value;
        self::assertGreaterThan(3.0, $tip / $gap);
    }

    /** @return iterable<string, array{string, VerdictKind}> */
    public static function ledgeReadings(): iterable
    {
        // Common practice, no source: 1/8 in at the lever ledge, at most 1/4 in; 1/2 in is far too much.
        yield '1/8 in is right' => ['1/8 in', VerdictKind::Inside];
        yield '1/2 in is far too much' => ['1/2 in', VerdictKind::TooLoose];
        yield 'nothing is taut' => ['0', VerdictKind::Taut];
    }

    #[DataProvider('ledgeReadings')]
    public function test_the_ledge_figure_of_clutch_levers(string $text, VerdictKind $verdict): void
    {
        $job = TestJob::clutch(['aim' => ['point' => 'perch_gap', 'low_mm' => 1, 'high_mm' => 6.35]])->ready();
        $job->instrument = 'caliper';
        for ($i = 0; $i < 3; $i++) {
            $job->line($text, 'in_band');
        }
        self::assertSame($verdict, $job->state->judgement->now->kind);
    }

    public function test_a_nickel_and_a_quarter_both_serve_a_one_to_two_millimetre_gap(): void
    {
        // Common practice, no source: a coin's thickness (nickel or quarter) at the perch, where 1 to 2 mm is wanted.
        foreach (['nickel', 'quarter'] as $coin) {
            $mm = QuantityReader::defaultingTo(Unit::Millimetre)->read($coin)->value;
            self::assertTrue($mm >= 1.0 && $mm <= 2.0, $coin);
        }
    }

    public function test_four_millimetres_suit_nearly_every_throttle(): void
    {
        // Common practice, no source: 2 to 6 mm at the flange; 4 mm suits nearly all.
        $job = TestJob::throttle()->ready()->read(4, 4, 4);
        self::assertSame(VerdictKind::Inside, $job->state->judgement->now->kind);
        self::assertSame(Policy::Middle, FamilyKey::TwistGrip->family()->startingPolicy());
        self::assertEqualsWithDelta(4.0, TestJob::throttle()->ready()->read(7, 7, 7)->state->next()->target, 1e-9);
    }

    public function test_erring_loose_beats_erring_tight_on_a_clutch(): void
    {
        // Common practice, no source.
        self::assertSame(Policy::Loose, FamilyKey::ClutchLever->family()->startingPolicy());
    }

    public function test_a_throttle_is_never_left_outside_by_choice(): void
    {
        // Common practice, no source.
        self::assertFalse(FamilyKey::TwistGrip->family()->allowsByChoice());
        self::assertTrue(FamilyKey::ClutchLever->family()->allowsByChoice());
    }
}
