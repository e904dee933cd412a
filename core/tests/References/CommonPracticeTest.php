<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\References;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\Drift;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\ModeCables;
use VividPull\Core\Family\SlidingDrive;
use VividPull\Core\Family\SpeedSelector;
use VividPull\Core\Input\Node;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\Policy;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\StateCodec;

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
        self::assertSame(Policy::Middle, Families::of(FamilyKey::TwistGrip)->startingPolicy());
        self::assertEqualsWithDelta(4.0, TestJob::throttle()->ready()->read(7, 7, 7)->state->next()->target, 1e-9);
    }

    public function test_erring_loose_beats_erring_tight_on_a_clutch(): void
    {
        // Common practice, no source.
        self::assertSame(Policy::Loose, Families::of(FamilyKey::ClutchLever)->startingPolicy());
    }

    public function test_half_an_inch_of_thread_stays_under_a_governor_nut(): void
    {
        // Common practice, no source: screwed down further it wears the governor.
        $run = RunCodec::decode(Node::of([
            'hand' => ['kind' => 'pedal', 'name' => 'Pedal'],
            'working_end' => 'carburettor',
            'cables' => [[
                'id' => 'c',
                'name' => 'C',
                'adjusters' => [[
                    'id' => 'nut',
                    'name' => 'governor nut',
                    'kind' => 'governor_nut',
                    'thread' => '1/4-20',
                    'travel_mm' => 40,
                ]],
            ]],
        ]));
        $nut = $run->adjuster('nut');
        self::assertGreaterThanOrEqual(25.4 / 2, $nut?->showing($nut->travel()->from));
    }

    public function test_one_or_two_rungs_and_four_turns_are_moved_at_a_time(): void
    {
        // Common practice, no source: one or two rungs of a sliding drive; of a mode cable four turns, each of six
        // bevels.
        self::assertSame([1.0, 2.0], [SlidingDrive::table('rungs')->trial, SlidingDrive::table('rungs')->mostAtOnce]);
        $mode = [
            'key' => 'm', 'label' => 'M', 'at' => 0.0, 'right' => 'right', 'under' => 'under', 'over' => 'over',
            'weights' => ['a' => 1.0],
        ];
        self::assertSame(4.0 * 6.0, ModeCables::table([$mode], 5.0, [Mover::of('a', 1.0, 1, 0.1)])->mostAtOnce);
    }

    public function test_new_friction_plates_soak_a_day(): void
    {
        // Common practice, no source: 24 to 48 h in oil.
        $job = TestJob::clutch(['others' => [[
            'kind' => 'pack',
            'friction_plates' => 6,
            'steel_plates' => 5,
            'springs' => 5,
        ]]]);
        self::assertSame(24, StateCodec::encode($job->state)['beside']['pack']['soak_hours'] ?? null);
    }

    public function test_r1_is_told_from_f1_and_both_are_tried_after_every_move(): void
    {
        // Common practice, no source: R1 and F1 are the detents that a little offset turns the wrong way.
        $telling = array_filter(
            SpeedSelector::table(
                ['R2' => -2, 'R1' => -1, 'F1' => 1, 'F2' => 2],
                6.0,
                1.0,
                [Mover::of('a', 1.0, 1, 0.1)],
            )->settings,
            static fn (OutcomeSetting $one): bool => $one->isTelling,
        );
        self::assertSame(['r1', 'f1'], array_keys($telling));
    }

    public function test_wear_takes_the_play_of_a_clutch_and_of_a_drive_released_by_its_pull(): void
    {
        // Common practice, no source: worn plates move the arm towards the cable; what engages by its pull gets looser
        // instead.
        self::assertSame(
            [Drift::ShrinksPlay, Drift::ShrinksPlay, Drift::GrowsPlay],
            [
                Families::of(FamilyKey::ClutchLever)->drift(),
                Families::of(FamilyKey::ReleaseByPull)->drift(),
                Families::of(FamilyKey::EngageByPull)->drift(),
            ],
        );
    }

    public function test_a_throttle_is_never_left_outside_by_choice(): void
    {
        // Common practice, no source.
        self::assertFalse(Families::of(FamilyKey::TwistGrip)->allowsByChoice());
        self::assertTrue(Families::of(FamilyKey::ClutchLever)->allowsByChoice());
    }
}
