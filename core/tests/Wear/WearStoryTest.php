<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Wear;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Family\ClutchLever;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\Family;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Procedure\WearCause;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\MeterUnit;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Wear\FoundSide;
use VividPull\Core\Wear\IntervalKind;
use VividPull\Core\Wear\JobRecord;
use VividPull\Core\Wear\NextCheck;
use VividPull\Core\Wear\Play;
use VividPull\Core\Wear\WearInterval;
use VividPull\Core\Wear\WearStory;
use VividPull\Core\Wear\WearWords;

final class WearStoryTest extends TestCase
{
    /** Plates of a clutch wear 3.6 mm of play in 1,000 km. */
    private const STEADY = [[2000, null, 15.3], [3100, 11.3, 15.3], [4200, 11.4, 15.2], [5250, 11.4, 15.3]];

    public function test_a_cause_is_named_by_family_and_sign_from_two_intervals(): void
    {
        self::assertSame(WearCause::Plates, self::story(array_slice(self::STEADY, 0, 3))->cause);
        self::assertNull(self::story(array_slice(self::STEADY, 0, 2))->cause, 'one interval names nothing');
        self::assertNull(self::story(array_slice(self::STEADY, 0, 2))->bound(), 'and foretells nothing');
    }

    public function test_its_rate_is_said_with_its_intervals(): void
    {
        $story = self::story(self::STEADY);

        self::assertSame('Plates are wearing', WearWords::heading($story));
        self::assertStringStartsWith(
            'play shrinks 3.6 mm per 1 000 km, steadily over three intervals.',
            WearWords::say($story, MeterUnit::Kilometres),
        );
    }

    public function test_a_rate_within_two_standard_errors_of_none_has_no_cause(): void
    {
        $story = self::story([[2000, null, 15.0], [3000, 15.3, 15.0], [4000, 14.8, 15.0]]);

        self::assertNull($story->cause);
        self::assertSame('No steady wear', WearWords::heading($story));
    }

    public function test_an_interval_that_no_wear_explains_is_set_apart(): void
    {
        $story = self::story([...self::STEADY, [6400, 25.3, 15.4]]);

        self::assertSame(
            [IntervalKind::Wear, IntervalKind::Wear, IntervalKind::Wear, IntervalKind::Jump],
            self::kinds($story),
        );
        self::assertEqualsWithDelta(
            self::story(self::STEADY)->slope ?? 0.0,
            $story->slope ?? 1.0,
            1e-12,
            'it does not move the rate',
        );
        self::assertStringContainsString(
            'The last interval does not fit: play grew by 10.0 mm.',
            WearWords::say($story, MeterUnit::Kilometres),
        );
    }

    public function test_two_intervals_that_disagree_accuse_neither(): void
    {
        self::assertNull(self::story([[2000, null, 15.0], [3000, 11.0, 15.0], [4000, 25.0, 15.0]])->jump());
    }

    public function test_the_first_interval_after_a_new_part_is_kept_apart_and_what_wore_before_is_gone(): void
    {
        $looks = [
            self::look(2000, null, 15.0),
            self::look(3000, 11.0, 15.0),
            self::look(4000, 11.0, 15.0, parts: [Part::Plates]),
            self::look(4300, 12.0, 15.0),
            self::look(5300, 14.0, 15.0),
            self::look(6300, 14.1, 15.0),
        ];
        $story = WearStory::of($looks, SpecBand::between(10, 20), new ClutchLever, 3.5);

        self::assertSame(
            [
                IntervalKind::Before,
                IntervalKind::Before,
                IntervalKind::BeddingIn,
                IntervalKind::Wear,
                IntervalKind::Wear,
            ],
            self::kinds($story),
        );
        self::assertEqualsWithDelta(-0.00095, $story->slope ?? 0.0, 1e-12);
    }

    public function test_a_spring_starts_nothing_over(): void
    {
        $looks = [
            self::look(2000, null, 15.0),
            self::look(3000, 11.0, 15.0, parts: [Part::Spring]),
            self::look(4000, 11.0, 15.0),
        ];

        self::assertSame(
            [IntervalKind::Wear, IntervalKind::Wear],
            self::kinds(WearStory::of($looks, SpecBand::between(10, 20), new ClutchLever, 3.5)),
        );
    }

    public function test_what_a_hand_turned_between_is_no_wear(): void
    {
        $turned = WearInterval::between(self::look(2000, null, 15.0), self::look(3000, 18.5, 15.0, given: 1.25), 3.4);

        self::assertEqualsWithDelta(18.5 - 15.0 - 3.4 * 1.25, $turned->drift ?? 0.0, 1e-12);
    }

    /** @return iterable<string, array{JobRecord}> */
    public static function incomparable(): iterable
    {
        yield 'read at another point' => [new JobRecord(
            3000,
            '2026-01-01',
            ReadingPoint::PerchGap,
            EngineHeat::Cold,
            new Play(2, 0.1),
            null,
        )];
        yield 'read hot after cold' => [new JobRecord(
            3000,
            '2026-01-01',
            ReadingPoint::LeverTip,
            EngineHeat::Hot,
            new Play(11, 0.1),
            null,
        )];
        yield 'nothing was read' => [new JobRecord(
            3000,
            '2026-01-01',
            ReadingPoint::LeverTip,
            EngineHeat::Cold,
            null,
            null,
        )];
        yield 'it was not used between' => [new JobRecord(
            2000,
            '2026-01-01',
            ReadingPoint::LeverTip,
            EngineHeat::Cold,
            new Play(11, 0.1),
            null,
        )];
    }

    #[DataProvider('incomparable')]
    public function test_what_does_not_compare_teaches_nothing(JobRecord $look): void
    {
        self::assertSame(
            IntervalKind::NotComparable,
            WearInterval::between(self::look(2000, null, 15.0), $look, 3.5)->kind,
        );
    }

    public function test_the_edge_it_goes_to_is_expected_and_bounded_and_the_bound_comes_first(): void
    {
        $low = self::story(self::STEADY)->low ?? self::fail('no low edge');

        self::assertEqualsWithDelta((15.3 - 10.0) / 0.0036, $low->expected ?? 0.0, 40.0);
        self::assertLessThan($low->expected, $low->bound);
    }

    public function test_found_outside_on_one_side_three_times_speaks_of_replacing(): void
    {
        $looks = array_map(
            static fn (array $row): JobRecord => self::look($row[0], $row[1], $row[2], side: FoundSide::Tight),
            self::STEADY,
        );
        $story = WearStory::of($looks, SpecBand::between(12, 20), new ClutchLever, 3.5);

        self::assertTrue($story->again);
        self::assertStringContainsString('Measure the pack', WearWords::say($story, MeterUnit::Kilometres));
        self::assertNull(self::story(self::STEADY)->replace(), 'found inside, nothing is to be replaced');
        $looks[3] = self::look(5250, 11.4, 15.3, side: FoundSide::Loose);
        self::assertFalse(
            WearStory::of($looks, SpecBand::between(12, 20), new ClutchLever, 3.5)->again,
            'once on the other side is not again and again',
        );
    }

    /** @return iterable<string, array{FamilyKey, float, WearCause}> */
    public static function causes(): iterable
    {
        yield 'plates shrink a clutch\'s play' => [FamilyKey::ClutchLever, -0.004, WearCause::Plates];
        yield 'a drive clamped by its pull grows looser, by lining and stretch alike' => [
            FamilyKey::EngageByPull,
            0.004,
            WearCause::LiningAndStretch,
        ];
        yield 'one released by its pull grows tighter' => [FamilyKey::ReleaseByPull, -0.004, WearCause::Lining];
        yield 'a throttle cable stretches' => [FamilyKey::TwistGrip, 0.004, WearCause::Stretch];
        yield 'a throttle that tightens does not wear' => [FamilyKey::TwistGrip, -0.004, WearCause::Tightening];
        yield 'a mower\'s belt stretches' => [FamilyKey::SlidingDrive, 0.004, WearCause::Belt];
    }

    #[DataProvider('causes')]
    public function test_the_family_and_the_sign_name_the_cause(FamilyKey $key, float $perUse, WearCause $cause): void
    {
        self::assertSame(
            $cause,
            self::story(
                [[0, null, 15.0], [1000, 15 + 1000 * $perUse, 15.0], [2100, 15 + 1100 * $perUse, 15.0]],
                Families::of($key),
            )->cause,
        );
    }

    /**
     * Machines whose true rate is known: the bound is passed before its use is over in at most about one of twenty. The
     * scatter of true wear is that of the readings, so the t bound is exact but for the last reading's own part.
     */
    public function test_the_bound_is_reached_early_in_at_most_one_of_twenty(): void
    {
        $chance = new SeededChance(5);
        $early = 0;
        $machines = 2000;
        for ($n = 0; $n < $machines; $n++) {
            $rate = -0.002 - $chance->between(0.0, 0.003);
            $looks = [];
            foreach ([0, 1000, 2000, 3100, 4000] as $i => $usage) {
                $use = $i === 0 ? 0 : $usage - [0, 1000, 2000, 3100, 4000][$i - 1];
                $looks[] = self::look(
                    $usage,
                    $i === 0 ? null : 16 + $rate * $use + 0.2 * $chance->normal(),
                    16 + 0.2 * $chance->normal(),
                    standard: 0.2,
                );
            }
            $bound = WearStory::of($looks, SpecBand::between(10, null), new ClutchLever, 3.5)->low->bound ?? null;
            $early += (int) ($bound !== null && 16 + $rate * $bound < 10.0);
        }

        self::assertLessThan(
            0.06 * $machines,
            $early,
            "seed 5: {$early} of {$machines} reached the edge before their bound",
        );
    }

    /**
     * Readings with their own uncertainty and nothing else: how often an interval is called a jump that is none, and
     * five of it are missed.
     */
    public function test_jumps_are_rarely_false_and_seldom_missed(): void
    {
        $chance = new SeededChance(7);
        foreach ([3, 5, 8] as $intervals) {
            [$false, $missed] = [0, 0];
            for ($n = 0; $n < 1200; $n++) {
                $jump = $n % 2 === 0 ? 0 : 1 + (int) floor($chance->between(0.0, $intervals));
                $rate = -0.001 - $chance->between(0.0, 0.003);
                [$looks, $usage] = [[self::look(0, null, 15 + 0.2 * $chance->normal(), standard: 0.2)], 0.0];
                for ($i = 1; $i <= $intervals; $i++) {
                    $use = 700 + $chance->between(0.0, 600.0);
                    $usage += $use;
                    $looks[] = self::look(
                        $usage,
                        15 + $rate * $use + ($i === $jump ? 5 * hypot(0.2, 0.2) : 0.0) + 0.2 * $chance->normal(),
                        15 + 0.2 * $chance->normal(),
                        standard: 0.2,
                    );
                }
                $found = WearStory::of($looks, SpecBand::between(5, null), new ClutchLever, 3.5)->jump();
                $false += (int) ($jump === 0 && $found !== null);
                $missed += (int) ($jump !== 0 && $found?->to !== ($looks[max(0, $jump)] ?? null));
            }
            // 3 % of 600 are 18, 15 % are 90; three standard deviations more are 12 and 26.
            self::assertLessThanOrEqual(30, $false, "seed 7, {$intervals} intervals");
            self::assertLessThanOrEqual(116, $missed, "seed 7, {$intervals} intervals");
        }
    }

    public function test_only_the_edge_that_it_drifts_to_counts(): void
    {
        $story = self::story(self::STEADY);
        self::assertSame($story->low?->bound, $story->bound());
        $other = self::story([[0, null, 15.0], [1000, 18.0, 15.0], [2000, 18.1, 19.6]]);
        self::assertSame($other->high?->bound, $other->bound(), 'it grows, so the low edge is no concern');
    }

    public function test_what_was_signed_in_the_middle_is_not_due_the_same_day(): void
    {
        // Two intervals, so t of the slope is 6.3: times the reading's own u that would be all of a narrow band at
        // once.
        $looks = [self::look(0, null, 4.0), self::look(1000, 3.9, 4.0), self::look(2000, 3.9, 4.0)];
        $story = WearStory::of($looks, SpecBand::between(3, 5), new ClutchLever, 3.5);
        self::assertGreaterThan(0.0, $story->bound());
        $next = NextCheck::after($looks[2], MeterUnit::Kilometres, null, $story->bound(), null);
        self::assertGreaterThan(2000.0, $next->all[0]->usage);
    }

    /** @param  list<array{int, float|null, float}>  $rows  usage, found, left */
    private static function story(array $rows, Family $family = new ClutchLever): WearStory
    {
        return WearStory::of(
            array_map(static fn (array $row): JobRecord => self::look($row[0], $row[1], $row[2]), $rows),
            SpecBand::between(10, 20),
            $family,
            3.5,
        );
    }

    /** @param  list<Part>  $parts */
    private static function look(
        float $usage,
        ?float $found,
        float $left,
        float $given = 0.0,
        array $parts = [],
        FoundSide $side = FoundSide::Inside,
        float $standard = 0.25,
    ): JobRecord {
        return new JobRecord(
            $usage,
            '2026-01-01',
            ReadingPoint::LeverTip,
            EngineHeat::Cold,
            $found === null ? null : new Play($found, $standard),
            new Play($left, $standard),
            $given,
            $parts,
            $side,
        );
    }

    /** @return list<IntervalKind> */
    private static function kinds(WearStory $story): array
    {
        return array_map(static fn (WearInterval $one): IntervalKind => $one->kind, $story->intervals);
    }
}
