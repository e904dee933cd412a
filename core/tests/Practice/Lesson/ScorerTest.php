<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice\Lesson;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Lesson\AdvisedHand;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\BestPlay;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\Lesson\LessonFile;
use VividPull\Core\Practice\Lesson\MachineView;
use VividPull\Core\Practice\Lesson\MovesFile;
use VividPull\Core\Practice\Lesson\Remark;
use VividPull\Core\Practice\Lesson\Score;
use VividPull\Core\Practice\Lesson\Scorer;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\SkillScore;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Wire\EntryCodec;

/** What each mistake costs, and in which words. */
final class ScorerTest extends TestCase
{
    private const SAFE = [
        ['line' => 'all ok'],
        ['act' => 'look', 'of' => 'wire'],
        ['act' => 'look', 'of' => 'conduit'],
        ['act' => 'look', 'of' => 'perch'],
        ['act' => 'look', 'of' => 'arm'],
        ['line' => 'all ok'],
        ['line' => 'cold'],
    ];

    private const PEDAL_BY_HAND = [
        ['kind' => 'inspected', 'body' => ['key' => 'wire', 'finding' => 'sound']],
        ['line' => 'cold'],
        ['line' => '10 mm', 'shown' => ['item' => 'reading', 'point' => 'handle_travel']],
        ['kind' => 'check', 'body' => ['key' => 'snap_shut', 'answer' => 'yes']],
    ];

    private const HOLD = ['act' => 'hold', 'point' => 'lever_tip'];

    /** @return iterable<string, array{string, list<array<string, mixed>>, Skill, string}> */
    public static function mistakes(): iterable
    {
        yield 'hands on it before it is safe' => [
            'lever_loose',
            [self::HOLD],
            Skill::Safe,
            'Hands were on it before it was safe: Engine off',
        ];
        yield 'a reading nobody took' => [
            'lever_loose',
            [...self::SAFE, ['line' => '31 mm', 'shown' => ['item' => 'reading', 'point' => 'lever_tip']]],
            Skill::Reading,
            'nobody had held an instrument',
        ];
        yield 'a reading off by more than a mark' => [
            'lever_loose',
            [...self::SAFE, self::HOLD, ['line' => '33 mm', 'shown' => ['item' => 'reading', 'point' => 'lever_tip']]],
            Skill::Reading,
            '33 mm was typed, and the instrument showed 3',
        ];
        yield 'a reading from before a turn' => [
            'lever_loose',
            [
                ...self::SAFE,
                self::HOLD,
                ['act' => 'turn', 'of' => 'barrel', 'by' => 1],
                ['line' => '31 mm', 'shown' => ['item' => 'reading', 'point' => 'lever_tip']],
            ],
            Skill::Reading,
            'nobody had held an instrument to it since it last changed',
        ];
        yield 'a reading straight after a turn' => [
            'lever_loose',
            [
                ...self::SAFE,
                ['act' => 'turn', 'of' => 'barrel', 'by' => 3],
                self::HOLD,
                ['line' => '20 mm', 'shown' => ['item' => 'reading', 'point' => 'lever_tip']],
            ],
            Skill::Reading,
            'It was read straight after a turn',
        ];
        yield 'a boot called off that is on' => [
            'grip_boot',
            [['kind' => 'cover', 'body' => ['adjuster' => 'in_line', 'off' => true]]],
            Skill::Word,
            'It was written that the boot is off, and it was on',
        ];
        yield 'a boot called on that is off' => [
            'grip_boot',
            [
                ['act' => 'open', 'of' => 'in_line'],
                ['kind' => 'cover', 'body' => ['adjuster' => 'in_line', 'off' => true]],
                ['kind' => 'cover', 'body' => ['adjuster' => 'in_line', 'off' => false]],
            ],
            Skill::Word,
            'It was written that the boot is back on, and it was off',
        ];
        yield 'a boot left off' => [
            'grip_boot',
            [['act' => 'open', 'of' => 'in_line'], ['act' => 'turn', 'of' => 'in_line', 'by' => 3]],
            Skill::Order,
            'The boot was left off',
        ];
        yield 'called cold while it is hot' => [
            'lever_hot',
            self::SAFE,
            Skill::Word,
            'It was written as cold, and its engine was hot',
        ];
        yield 'called hot while it is cold' => [
            'lever_hot',
            [...array_slice(self::SAFE, 0, -1), ['act' => 'cool'], ['line' => 'hot']],
            Skill::Word,
            'It was written as hot, and its engine was cold',
        ];
        yield 'the wrong way' => [
            'lever_loose',
            [...self::SAFE, ['act' => 'turn', 'of' => 'barrel', 'by' => -1]],
            Skill::Direction,
            'The barrel was turned the wrong way',
        ];
        yield 'too far' => [
            'lever_loose',
            [...self::SAFE, ['act' => 'turn', 'of' => 'barrel', 'by' => 8]],
            Skill::Direction,
            'in at one edge of the band and out at the other',
        ];
        yield 'a guess the wrong way' => [
            'lever_loose',
            [
                ...self::SAFE,
                ['act' => 'guess', 'of' => 'barrel', 'by' => -1],
                ['act' => 'turn', 'of' => 'barrel', 'by' => 3],
            ],
            Skill::Direction,
            'What you said you would turn',
        ];
        yield 'turned and not written' => [
            'lever_loose',
            [...self::SAFE, ['act' => 'turn', 'of' => 'barrel', 'by' => 3]],
            Skill::Word,
            'no word of it was written',
        ];
        yield 'written and not turned' => [
            'lever_loose',
            [...self::SAFE, ['kind' => 'move', 'body' => ['adjuster' => 'barrel', 'turns' => 3]]],
            Skill::Word,
            'A move of the barrel was written, and it was not turned',
        ];
        yield 'miscounted' => [
            'lever_loose',
            [
                ...self::SAFE,
                ['act' => 'turn', 'of' => 'barrel', 'by' => 3],
                ['kind' => 'move', 'body' => ['adjuster' => 'barrel', 'turns' => 2.5]],
            ],
            Skill::Word,
            'was turned by 3 turns, and 2 turns and 3 flats was written',
        ];
        yield 'a part called sound that is not' => [
            'lever_frayed',
            [
                ['line' => 'all ok'],
                ['act' => 'light'],
                ['act' => 'look', 'of' => 'wire'],
                ['kind' => 'inspected', 'body' => ['key' => 'wire', 'finding' => 'sound']],
            ],
            Skill::Word,
            'not what it showed: Inner wire',
        ];
        yield 'a wire looked at in the dark' => [
            'lever_frayed',
            [
                ['line' => 'all ok'],
                ['act' => 'look', 'of' => 'wire'],
                ['kind' => 'inspected', 'body' => ['key' => 'wire', 'finding' => 'sound']],
            ],
            Skill::Word,
            'It was called sound without a light',
        ];
        yield 'a tyre that nobody measured' => [
            'pedal_governor',
            [self::tyre(457.0)],
            Skill::Word,
            'This was written without being tried: Tyre diameter',
        ];
        yield 'one tyre written twice' => [
            'pedal_governor',
            [['act' => 'measure', 'of' => 'tyre'], self::tyre(457.0), self::tyre(457.0)],
            Skill::Word,
            'This was written without being tried: Tyre diameter',
        ];
        yield 'a tyre other than it is' => [
            'pedal_governor',
            [['act' => 'measure', 'of' => 'tyre'], self::tyre(400.0)],
            Skill::Word,
            'not what it showed: Tyre diameter',
        ];
        yield 'a speed nobody drove' => [
            'pedal_governor',
            [
                ...self::PEDAL_BY_HAND,
                ...self::refitted('floor', 'wheels_down'),
                ['kind' => 'measure', 'body' => ['key' => 'ground_speed', 'value' => 22.0, 'entered' => '22']],
            ],
            Skill::Word,
            'This was not tried, and what was written is not so: Ground speed',
        ];
        yield 'a stop that nobody timed' => [
            'bail_right',
            [
                ['kind' => 'inspected', 'body' => ['key' => 'wire', 'finding' => 'sound']],
                ['kind' => 'check', 'body' => ['key' => 'brake_on', 'answer' => 'yes']],
                ...self::refitted('guards', 'spark_lead'),
                ['kind' => 'measure', 'body' => ['key' => 'blade_stop', 'value' => 2.0, 'entered' => '2.0 s']],
            ],
            Skill::Word,
            'This was written without being tried: Blade stop time',
        ];
        yield 'the nut the wrong way' => [
            'pedal_governor',
            [['act' => 'turn', 'of' => 'governor', 'by' => -1]],
            Skill::Direction,
            'The governor nut was turned the wrong way',
        ];
        yield 'driven before it was put together' => [
            'pedal_governor',
            [['act' => 'turn', 'of' => 'governor', 'by' => 0.5], ['act' => 'measure', 'of' => 'ground_speed']],
            Skill::Safe,
            'It was run before what was taken off was put back',
        ];
        yield 'teeth that had not met' => [
            'mode_short',
            [
                ['act' => 'run', 'of' => 'park'],
                ['kind' => 'outcome', 'body' => ['setting' => 'park', 'saw' => 'right']],
            ],
            Skill::Word,
            'Park: its teeth had not met, and that proves nothing',
        ];
        yield 'a setting before the last turn' => [
            'mode_short',
            [
                ['act' => 'run', 'of' => 'park'],
                ['act' => 'roll'],
                ['act' => 'turn', 'of' => 'mode_bevels', 'by' => 0.5],
                ['kind' => 'outcome', 'body' => ['setting' => 'park', 'saw' => 'right']],
            ],
            Skill::Word,
            'This was not tried, and what was written is not so: Park',
        ];
        yield 'something put right that nobody did' => [
            'lever_spline',
            [...self::SAFE, ['kind' => 'put_right', 'body' => ['cure' => 'spring']]],
            Skill::Word,
            'nothing of that was done',
        ];
        yield 'a sound thing changed' => [
            'lever_loose',
            [...self::SAFE, ['act' => 'cure', 'of' => 'spring']],
            Skill::Cause,
            'Nothing was wrong there',
        ];
        yield 'an end taken out of its seat' => [
            'lever_loose',
            [
                ...self::SAFE,
                ['act' => 'hook', 'of' => 'cable/hand', 'in' => 0.1],
                ['act' => 'hook', 'of' => 'cable/hand', 'in' => 1],
            ],
            Skill::Cause,
            'At the clutch lever the end sat in its seat, and was taken out',
        ];
        yield 'an end left off its hook' => [
            'lever_loose',
            [...self::SAFE, ['act' => 'hook', 'of' => 'cable/working', 'in' => 0]],
            Skill::Cause,
            'At the release arm the cable was left off its hook',
        ];
        yield 'an end left on the edge' => [
            'lever_loose',
            [...self::SAFE, ['act' => 'hook', 'of' => 'cable/hand', 'in' => 0.8]],
            Skill::Cause,
            'the end was left on the edge of its seat',
        ];
        yield 'an end let go too early' => [
            'trigger_end',
            [['act' => 'hook', 'of' => 'cable/hand', 'in' => 0.8]],
            Skill::Cause,
            'It was not found: an end beside its seat',
        ];
        yield 'an end put back and not written' => [
            'trigger_end',
            [['act' => 'hook', 'of' => 'cable/hand', 'in' => 1]],
            Skill::Word,
            'An end of the cable was put back in its seat, and no word of it was written',
        ];
        yield 'hands at an end before it is safe' => [
            'trigger_end',
            [['act' => 'hook', 'of' => 'cable/hand', 'in' => 1]],
            Skill::Safe,
            'Hands were on it before it was safe',
        ];
        yield 'an end written that nobody touched' => [
            'trigger_end',
            [['kind' => 'put_right', 'body' => ['cure' => 'ferrule']]],
            Skill::Word,
            'nothing of that was done',
        ];
        yield 'a reading from before an end was hooked' => [
            'trigger_end',
            [
                ['act' => 'hold', 'point' => 'handle_travel'],
                ['act' => 'hook', 'of' => 'cable/hand', 'in' => 1],
                ['line' => '1.4 mm', 'shown' => ['item' => 'reading', 'point' => 'handle_travel']],
            ],
            Skill::Reading,
            'nobody had held an instrument to it since it last changed',
        ];
        yield 'a fault not found' => [
            'pedal_spring',
            [],
            Skill::Cause,
            'It was not found: a weak or unhooked return spring',
        ];
        yield 'left open' => ['lever_loose', self::SAFE, Skill::End, 'without being signed or tagged'];
        yield 'left outside' => ['lever_loose', self::SAFE, Skill::Moves, 'It still stands outside.'];
        yield 'not tried' => ['lever_loose', self::SAFE, Skill::Proofs, 'not tried yet'];
        yield 'tagged, and it could be set' => [
            'lever_loose',
            [['kind' => 'tag', 'body' => ['reason' => 'Loose.']]],
            Skill::End,
            'could have been set right',
        ];
        yield 'tagged, and it is right' => [
            'lever_right',
            [['kind' => 'tag', 'body' => ['reason' => 'Not sure.']]],
            Skill::End,
            'It was tagged, and it is right',
        ];
    }

    /** @return array<string, mixed> */
    private static function tyre(float $mm): array
    {
        return ['kind' => 'measure', 'body' => ['key' => 'tyre', 'value' => $mm, 'entered' => "{$mm}"]];
    }

    /** @return list<array<string, mixed>> put together again, as far as it is written */
    private static function refitted(string ...$steps): array
    {
        return array_values(array_map(
            static fn (string $step): array => ['kind' => 'confirmed', 'body' => ['key' => $step]],
            $steps,
        ));
    }

    /** @param  list<array<string, mixed>>  $moves */
    #[DataProvider('mistakes')]
    public function test_a_mistake_is_named_where_it_belongs(
        string $lesson,
        array $moves,
        Skill $skill,
        string $says,
    ): void {
        $found = self::skill(Scorer::judge(self::played($lesson, $moves)), $skill);
        self::assertNotNull($found, 'the skill is judged');
        self::assertLessThan($skill->weight(), $found->points());
        self::assertStringContainsString(
            $says,
            implode("\n", array_map(static fn ($remark): string => $remark->sentence, $found->remarks)),
        );
    }

    public function test_what_the_bench_advised_is_nobodys_fault(): void
    {
        // Its drawing is off by 1.7: the bench's first move goes too far.
        $score = Scorer::judge(AdvisedHand::works(LessonBook::find('lever_drawn') ?? self::fail('gone')));
        self::assertSame([], self::skill($score, Skill::Direction)?->remarks);
    }

    public function test_what_is_signed_as_fit_and_is_not_can_hurt_somebody(): void
    {
        $score = Scorer::judge(CarelessHand::works(LessonBook::find('lever_taut') ?? self::fail('gone')));
        self::assertLessThanOrEqual(Score::FALSELY_FIT, $score->total);
        self::assertStringContainsString('that can hurt somebody', (string) self::skill($score, Skill::End)?->sentence);
    }

    public function test_turns_with_nothing_read_between_them_are_one_move(): void
    {
        $turn = ['act' => 'turn', 'of' => 'barrel', 'by' => 1];
        self::assertSame(1, Scorer::judge(self::played('lever_loose', [...self::SAFE, $turn, $turn, $turn]))->moves);
        self::assertSame(
            2,
            Scorer::judge(self::played('lever_loose', [...self::SAFE, $turn, self::HOLD, $turn]))->moves,
        );
        self::assertSame(
            2,
            Scorer::judge(self::played(
                'lever_loose',
                [...self::SAFE, $turn, ['act' => 'turn', 'of' => 'bracket_nuts', 'by' => 1]],
            ))->moves,
        );
    }

    public function test_what_was_turned_lies_where_it_stays_once_it_has_snapped_back(): void
    {
        $attempt = self::played('lever_loose', [...self::SAFE, ['act' => 'turn', 'of' => 'barrel', 'by' => 3]]);
        $shown = static fn (): float => (float) $attempt->act(
            Act::hold(ReadingPoint::LeverTip, Pose::Straight),
            '2026-01-01T08:10:00+00:00',
        )->mm;
        $before = $shown();
        $attempt->act(Act::snap(), '2026-01-01T08:10:00+00:00');
        // Half a millimetre of conduit at 3.5 times as far.
        self::assertEqualsWithDelta(0.5 * 3.5, $before - $shown(), 8 * $attempt->lesson->mechanics->noise);
        self::assertEqualsWithDelta(
            $attempt->control()->play(ReadingPoint::LeverTip),
            $shown(),
            5 * $attempt->lesson->mechanics->noise,
        );
    }

    /**
     * Unmet teeth prove nothing: what an arm does shows once a wheel was turned, at every setting and after every turn
     * anew.
     */
    public function test_teeth_meet_once_a_wheel_is_turned(): void
    {
        [$attempt, $at] = [self::played('mode_short', []), '2026-01-01T08:10:00+00:00'];
        $does = static fn (Act $act): ?string => $attempt->act($act, $at)->word;
        self::assertNull($does(Act::roll()), 'it was shifted nowhere yet');
        self::assertSame('unmet', $does(Act::run('park')));
        $true = $attempt->act(Act::roll(), $at)->word;
        self::assertNotSame('unmet', $true);
        self::assertSame($true, $does(Act::run('park')), 'it stands there still');
        self::assertSame('unmet', $does(Act::run('turf')));
        $view = array_column(MachineView::of($attempt)['settings'], null, 'key');
        self::assertSame(
            [false, false, true],
            [$view['park']['unmet'], $view['two_wheel']['unmet'], $view['turf']['unmet']],
        );
        self::assertSame('Cannot tell: the teeth have not met', $view['turf']['saw']);
        $does(Act::roll());
        self::assertNotSame('unmet', array_column(MachineView::of($attempt)['settings'], null, 'key')['turf']['saw']);
        $does(Act::turn('mode_bevels', Steps::exactly(0.5)));
        self::assertSame('unmet', $does(Act::run('turf')));
        // Who writes that it proves nothing writes what is so.
        $written = self::played(
            'mode_short',
            [
                ['act' => 'run', 'of' => 'park'],
                ['kind' => 'outcome', 'body' => ['setting' => 'park', 'saw' => 'unmet']],
            ],
        );
        self::assertSame([], self::skill(Scorer::judge($written), Skill::Word)?->remarks);
        $this->expectExceptionObject(Refused::because('There is nothing of that on this machine.'));
        self::played('lever_loose', [])->act(Act::roll(), $at);
    }

    public function test_a_hot_engine_hides_play_until_it_is_cold(): void
    {
        $attempt = self::played('lever_hot', array_slice(self::SAFE, 0, -1));
        $at = '2026-01-01T08:10:00+00:00';
        $shown = static fn (): float => (float) $attempt->act(
            Act::hold(ReadingPoint::LeverTip, Pose::Straight),
            $at,
        )->mm;
        self::assertSame('hot', $attempt->act(Act::feel(), $at)->word);
        self::assertLessThan(10.0, $shown(), 'it looks too tight');
        $attempt->act(Act::cool(), $at);
        self::assertSame('cold', $attempt->act(Act::feel(), $at)->word);
        self::assertEqualsWithDelta(12.0, $shown(), 0.6);
        self::assertTrue($attempt->control()->isRight(), 'it never was wrong');
    }

    public function test_a_figure_for_a_hot_engine_shows_too_much_play_cold(): void
    {
        $attempt = self::played('lever_warm', array_slice(self::SAFE, 0, -1));
        $at = '2026-01-01T08:10:00+00:00';
        $shown = static fn (): float => (float) $attempt->act(
            Act::hold(ReadingPoint::LeverTip, Pose::Straight),
            $at,
        )->mm;
        self::assertSame('cold', $attempt->act(Act::feel(), $at)->word);
        self::assertGreaterThan(10.0, $cold = $shown(), 'it looks as if it were inside');
        $attempt->act(Act::warm(), $at);
        self::assertSame('hot', $attempt->act(Act::feel(), $at)->word);
        self::assertEqualsWithDelta(7.5, $hot = $shown(), 0.6);
        self::assertEqualsWithDelta(0.8 * 3.5, $cold - $hot, 1.0);
    }

    public function test_a_governor_gives_speed_by_its_nut_and_a_slack_cable_takes_it(): void
    {
        $attempt = self::played('pedal_governor', []);
        $at = '2026-01-01T08:10:00+00:00';
        $speed = static fn (): float => (float) $attempt->act(Act::measure(MeasureKey::GroundSpeed), $at)->amount;
        self::assertEqualsWithDelta(26.5, $speed(), 1.2);
        self::assertTrue($attempt->control()->isUnsafe(), 'past its limit');
        self::assertEqualsWithDelta(457.0, (float) $attempt->act(Act::measure(MeasureKey::Tyre), $at)->amount, 6.0);
        $attempt->act(Act::turn('governor', Steps::fromFlats(6)), $at);
        self::assertEqualsWithDelta(26.5 - 3.2, $speed(), 1.2);
        self::assertTrue($attempt->control()->isRight());
        // Slack in the first cable: it no longer opens wide.
        $attempt->act(Act::turn('bracket_nuts', Steps::fromFlats(-36)), $at);
        self::assertLessThan(21.0, $speed());
    }

    public function test_turned_the_other_way_a_thread_first_gives_up_what_it_has(): void
    {
        $attempt = self::played('lever_lost', []);
        $at = '2026-01-01T08:10:00+00:00';
        $play = static fn (): float => $attempt->control()->play(ReadingPoint::LeverTip);
        $found = $play();
        // Three flats of an M8 thread that was last turned out are nothing, the fourth gives slack: 1.25 mm a turn, 3.5
        // times as far at the tip.
        $attempt->act(Act::turn('barrel', Steps::fromFlats(-3)), $at);
        self::assertEqualsWithDelta($found, $play(), 1e-9);
        $attempt->act(Act::turn('barrel', Steps::fromFlats(-1)), $at);
        self::assertEqualsWithDelta($found + 1.25 / 6 * 3.5, $play(), 1e-6);
        $attempt->act(Act::turn('barrel', Steps::fromFlats(3)), $at);
        self::assertEqualsWithDelta($found + 1.25 / 6 * 3.5, $play(), 1e-6);
    }

    public function test_a_lever_off_square_swings_as_its_geometry_says(): void
    {
        $attempt = self::played('lever_square', []);
        [$arm, $off] = [$attempt->lesson->run->hand->wireMm, deg2rad(40.0)];
        self::assertSame([38.0, 3.5], [$arm, round($attempt->lesson->run->couplings->all()['lever_tip']->value, 6)]);
        // From plane geometry alone: the anchor is walked along its circle until so much wire was taken up, and the way
        // straight across is measured.
        $tip = static function (float $slack) use ($arm, $off): float {
            [$low, $high] = [0.0, M_PI / 2 - $off];
            for ($n = 0; $n < 60; $n++) {
                $angle = ($low + $high) / 2;
                $arm * (sin($off + $angle) - sin($off)) < $slack ? $low = $angle : $high = $angle;
            }

            return 3.5 * hypot($arm * (sin($off + $low) - sin($off)), $arm * (cos($off + $low) - cos($off)));
        };
        $play = static fn (): float => $attempt->control()->play(ReadingPoint::LeverTip);
        self::assertEqualsWithDelta(34.0, $play(), 1e-9, 'as it came in');
        [$low, $high] = [0.0, 15.0];
        for ($n = 0; $n < 60; $n++) {
            $slack = ($low + $high) / 2;
            $tip($slack) < 34.0 ? $low = $slack : $high = $slack;
        }
        foreach ([1, 2, 3] as $turns) {
            $attempt->act(Act::turn('barrel', Steps::fromFlats(6)), '2026-01-01T08:10:00+00:00');
            self::assertEqualsWithDelta($tip($low - 1.25 * $turns), $play(), 1e-6, "{$turns} turns of an M8 thread");
        }
        $straight = LessonBook::find('lever_loose')?->control();
        self::assertEqualsWithDelta(
            31.0,
            $straight?->play(ReadingPoint::LeverTip),
            1e-9,
            'one that is square is what its book says',
        );
    }

    public function test_a_new_cable_gives_half_of_what_is_left_with_every_full_pull(): void
    {
        $attempt = self::played('lever_new', []);
        $plays = [];
        for ($pull = 0; $pull < 8; $pull++) {
            $plays[] = $attempt->control()->play(ReadingPoint::LeverTip);
            $attempt->act(Act::snap(), '2026-01-01T08:10:00+00:00');
        }
        self::assertEqualsWithDelta([9.0, 9.0 + 0.45 * 3.5, 9.0 + 0.675 * 3.5], array_slice($plays, 0, 3), 1e-9);
        self::assertEqualsWithDelta(9.0 + 0.9 * 3.5, $plays[7], 1e-9, 'and then it has bedded in');
    }

    public function test_what_is_not_measured_on_it_is_refused(): void
    {
        $this->expectException(Refused::class);
        self::played('lever_loose', [])->act(Act::measure(MeasureKey::GroundSpeed), '2026-01-01T08:00:00+00:00');
    }

    public function test_a_frayed_wire_is_only_seen_with_a_light(): void
    {
        $attempt = self::played('lever_frayed', [['line' => 'all ok']]);
        $at = '2026-01-01T08:00:00+00:00';
        $seen = static fn (string ...$parts): array => array_map(
            static fn (string $part): ?string => $attempt->act(Act::look($part), $at)->word,
            $parts,
        );
        self::assertSame(['sound', 'sound'], $seen('wire', 'conduit'));
        $attempt->act(Act::light(), $at);
        self::assertSame(['fault', 'sound'], $seen('wire', 'conduit'));
    }

    public function test_where_no_figure_asks_for_the_heat_nobody_feels_for_it(): void
    {
        $this->expectException(Refused::class);
        self::played('bail_right', [])->act(Act::feel(), '2026-01-01T08:00:00+00:00');
    }

    public function test_the_fewest_moves_are_those_of_one_who_sees_it(): void
    {
        $fewest = static fn (string $key): ?int => BestPlay::moves(
            $lesson = LessonBook::find($key) ?? self::fail('gone'),
            $lesson->control(),
        );
        self::assertSame(
            [1, 0, 2, null],
            [$fewest('lever_loose'), $fewest('lever_right'), $fewest('grip_pair'), $fewest('lever_short')],
        );
    }

    public function test_a_pull_shows_what_is_so_and_no_two_are_alike(): void
    {
        $lesson = LessonBook::find('lever_loose') ?? self::fail('gone');
        $attempt = self::played('lever_loose', self::SAFE);
        $play = $attempt->control()->play(ReadingPoint::LeverTip);
        $seen = array_map(
            static fn (): float => (float) $attempt->act(
                Act::hold(ReadingPoint::LeverTip, Pose::Straight),
                '2026-01-01T08:10:00+00:00',
            )->mm,
            range(1, 40),
        );
        self::assertGreaterThan(30, count(array_unique($seen)));
        // The mean of forty is within four of its own deviations.
        self::assertEqualsWithDelta($play, array_sum($seen) / 40, 4 * $lesson->mechanics->noise / sqrt(40));
    }

    /** @return iterable<string, array{Act, string}> */
    public static function impossible(): iterable
    {
        yield 'an adjuster it has not' => [Act::turn('nowhere', Steps::of(1)), 'nothing of that'];
        yield 'a proof of another family' => [Act::try('snap_shut', null), 'nothing of that'];
        yield 'a part it has not' => [Act::look('belt'), 'nothing of that'];
        yield 'a point it is not read at' => [Act::hold(ReadingPoint::GripFlange, Pose::Straight), 'nothing of that'];
        yield 'a setting it has not' => [Act::run('r1'), 'nothing of that'];
    }

    #[DataProvider('impossible')]
    public function test_what_cannot_be_done_on_it_is_refused(Act $act, string $says): void
    {
        $this->expectException(Refused::class);
        $this->expectExceptionMessageMatches("/{$says}/");
        self::played('lever_loose', [])->act($act, '2026-01-01T08:00:00+00:00');
    }

    public function test_what_lies_under_its_cover_is_not_turned(): void
    {
        $attempt = self::played('grip_boot', []);
        $at = '2026-01-01T08:00:00+00:00';
        try {
            $attempt->act(Act::turn('in_line', Steps::of(1)), $at);
            self::fail('turned through its boot');
        } catch (Refused $refused) {
            self::assertSame('Its boot is over it: take that off first.', $refused->getMessage());
        }
        self::assertSame([], $attempt->moments(), 'nothing was done');
        $before = $attempt->control()->stands('in_line');
        foreach ([Act::open('in_line'), Act::turn('in_line', Steps::of(1))] as $act) {
            $attempt->act($act, $at);
        }
        self::assertSame(
            [$before + 1.0, ['boot']],
            [$attempt->control()->stands('in_line'), $attempt->control()->coversOff()],
        );
        $attempt->act(Act::shut('in_line'), $at);
        self::assertSame([], $attempt->control()->coversOff());
    }

    public function test_run_with_its_cover_off_it_was_not_safe(): void
    {
        $file = LessonFile::encode(LessonBook::find('lever_loose') ?? self::fail('gone'));
        $file['run']['cables'][0]['adjusters'][0]['access'] = ['minutes' => 2, 'cover' => 'hand guard'];
        $lesson = LessonFile::read(json_encode($file, JSON_THROW_ON_ERROR));
        $unsafe = static fn (array $moves): array => array_filter(
            self::skill(
                Scorer::judge(MovesFile::play(
                    $lesson,
                    json_encode(
                        ['format' => MovesFile::FORMAT, 'lesson' => 'lever_loose', 'moves' => $moves],
                        JSON_THROW_ON_ERROR,
                    ),
                )),
                Skill::Safe,
            )->remarks
                ?? [],
            static fn (Remark $one): bool => str_contains($one->sentence, 'before what was taken off was put back'),
        );
        self::assertCount(
            1,
            $unsafe([['line' => 'all ok'], ['act' => 'open', 'of' => 'barrel'], ['act' => 'try', 'of' => 'no_creep']]),
        );
        self::assertCount(
            0,
            $unsafe([
                ['line' => 'all ok'],
                ['act' => 'open', 'of' => 'barrel'],
                ['act' => 'try', 'of' => 'wiggle_still'],
                ['act' => 'shut', 'of' => 'barrel'],
                ['act' => 'try', 'of' => 'no_creep'],
            ]),
        );
    }

    public function test_of_what_was_written_before_the_order_of_work_is_not_asked(): void
    {
        $attempt = self::played('bail_right', []);
        $ran = (new EntryCodec($attempt->job()->run))->entry(
            EntryKind::Check,
            Node::of(['key' => 'stops', 'answer' => 'engine_stops']),
            new Stamp('m1', '2026-01-01T08:00:00+00:00', new Person('learner', 'Learner', Role::Technician)),
        );
        try {
            $attempt->write($ran);
            self::fail('It was taken.');
        } catch (Refused $refused) {
            self::assertStringStartsWith('This runs the machine. First, with the engine off:', $refused->getMessage());
        }
        $attempt->write($ran, false);
        self::assertSame($ran, $attempt->last());
    }

    public function test_nothing_is_done_once_it_is_over(): void
    {
        $attempt = self::played('lever_loose', [['act' => 'stop']]);
        self::assertTrue($attempt->isOver());
        self::assertFalse($attempt->isEnded());
        $this->expectException(Refused::class);
        $attempt->act(Act::ask(), '2026-01-01T08:00:00+00:00');
    }

    /** @param  list<array<string, mixed>>  $moves */
    private static function played(string $key, array $moves): Attempt
    {
        $lesson = LessonBook::find($key);
        self::assertInstanceOf(Lesson::class, $lesson);

        return MovesFile::play(
            $lesson,
            json_encode(['format' => MovesFile::FORMAT, 'lesson' => $key, 'moves' => $moves], JSON_THROW_ON_ERROR),
        );
    }

    private static function skill(Score $score, Skill $skill): ?SkillScore
    {
        foreach ($score->skills as $one) {
            if ($one->skill === $skill) {
                return $one;
            }
        }

        return null;
    }
}
