<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Planning\AdjusterAdvice;
use VividPull\Core\Planning\AdviceKind;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Tests\Support\TestJob;

final class NextMoveTest extends TestCase
{
    public function test_too_loose_is_taken_up_towards_the_target(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $advice = self::advice($job);
        // 25.33 − 15 = 10.33 mm at 3.4737 × 1.25 = 4.342 mm a turn: 2.38 turns, so 2 turns and 2 flats.
        self::assertSame(Steps::of(2, 2)->count, $advice->steps?->count);
        // The few machines whose ratio is quite another draw the expectation by a tenth.
        self::assertEqualsWithDelta(15.1, $advice->expected, 0.1);
        // It stood 2 turns out of 8.8: 8.8 − 4.333 turns of 1.25 mm are left.
        self::assertMatchesRegularExpression(
            '/^perch barrel, out 2 turns and 2 flats; expect 15\.1 mm \(\d+\.\d to \d+\.\d\); 5\.6 mm of thread left after\.$/',
            $advice->sentence,
        );
    }

    public function test_too_tight_is_given_slack(): void
    {
        $advice = self::advice(TestJob::clutch()->ready()->read(6, 6, 6.5));
        self::assertLessThan(0, $advice->steps?->count, 'in gives slack');
    }

    public function test_a_screw_that_gives_slack_when_turned_out_goes_the_other_way(): void
    {
        $run = TestJob::clutchRun(['sense' => 'out_gives_slack']);
        $advice = self::advice(TestJob::clutch(run: $run)->ready()->read(25.5, 25, 25.5));
        self::assertLessThan(0, $advice->steps?->count);
    }

    /** @return iterable<string, array{string, float}> */
    public static function policies(): iterable
    {
        yield 'middle is halfway' => ['middle', 15.0];
        yield 'crisp is the low quarter' => ['crisp', 12.5];
        yield 'loose is the high quarter' => ['loose', 17.5];
    }

    #[DataProvider('policies')]
    public function test_the_policy_moves_the_target_at_once(string $policy, float $target): void
    {
        $job = TestJob::clutch(standing: TestJob::standing(['perch' => 1.0, 'bracket' => 6.0]))
            ->ready()
            ->read(25.5, 25, 25.5)
            ->line("aim {$policy}");
        self::assertEqualsWithDelta($target, $job->state->next()->target, 1e-12);
        // A flat is 0.72 mm, and near an edge the sure side wins.
        self::assertEqualsWithDelta($target, self::advice($job)->expected, 0.72);
    }

    public function test_inside_the_one_thing_to_do_is_to_prove_it(): void
    {
        self::assertSame(PlanKind::Prove, TestJob::clutch()->ready()->read(15, 15, 15)->state->next()->kind);
    }

    public function test_after_a_move_a_reading_is_due(): void
    {
        $next = TestJob::clutch()->ready()->read(25.5, 25, 25.5)->line('+1t')->state->next();
        self::assertSame(PlanKind::Read, $next->kind);
        self::assertSame('Moved: pull it fully three times and read it.', $next->sentence);
    }

    public function test_an_unknown_position_claims_no_thread_and_moves_one_turn_at_most(): void
    {
        $job = TestJob::clutch(standing: TestJob::standing(['perch' => null, 'bracket' => null]));
        while (($item = $job->state->progress->asks()) !== null && $item->key !== 'thread:perch') {
            $job->line($item->key === 'condition' ? 'cold' : 'ok');
        }
        $advice = self::advice($job->read(25.5, 25, 25.5));
        self::assertNull($advice->roomLeft);
        self::assertLessThanOrEqual(Steps::PER_TURN, abs(($advice->steps ?? self::fail('no move'))->count));
    }

    public function test_a_thread_that_is_used_up_says_so_and_the_other_end_takes_over(): void
    {
        $run = TestJob::clutchRun(['healthy_mm' => ['from' => 0, 'to' => 11]]);
        $job = TestJob::clutch(run: $run, standing: TestJob::standing(['perch' => 8.5, 'bracket' => 2.0]))
            ->ready()
            ->read(25.5, 25, 25.5);
        $options = $job->state->next()->options;
        self::assertSame(AdviceKind::OutOfThread, $options['perch']->kind);
        self::assertStringContainsString('not enough thread to take up the slack', $options['perch']->sentence);
        self::assertSame('bracket', $job->state->next()->recommended);
    }

    public function test_when_nothing_reaches_the_band_it_says_which_limit_and_what_that_means(): void
    {
        $next = TestJob::clutch(standing: TestJob::standing(['perch' => 8.7, 'bracket' => 17.5]))
            ->ready()
            ->read(28, 28, 28)->state
            ->next();
        self::assertSame(PlanKind::OutOfThread, $next->kind);
        self::assertNull($next->recommended);
        self::assertStringContainsString('Suspect a conduit out of its seat, or a stretched or wrong cable.', $next->sentence);
        self::assertSame(
            [['a conduit out of its seat', Cure::Ferrule, null], ['a stretched or wrong cable', null, Part::Cable]],
            array_map(static fn (Suspect $one): array => [$one->what, $one->cure, $one->part], $next->suspects),
            'each with what is tapped once it was seen to',
        );
        self::assertStringContainsString(
            'With every adjuster at its safe end it would still read about 28.0 mm, and the band ends at 20.0.',
            $next->sentence,
        );
    }

    public function test_poses_that_nobody_read_are_no_reason_to_blame_a_part(): void
    {
        // 7 mm: the thread that is left reaches the edge of the band, and not the half millimetre more that unread
        // poses are allowed.
        $next = TestJob::throttle(standing: TestJob::standing(['grip' => 7.2, 'carburettor' => 11.9]))
            ->ready()
            ->read(7, 7, 7)->state
            ->next();
        self::assertSame([PlanKind::Move, 'grip'], [$next->kind, $next->recommended]);
    }

    public function test_where_nothing_reaches_the_edge_that_is_named_is_the_one_of_the_spec(): void
    {
        $next = TestJob::throttle(standing: TestJob::standing(['grip' => 8.0, 'carburettor' => 11.9]))
            ->ready()
            ->read(7, 7, 7)->state
            ->next();
        self::assertSame(PlanKind::OutOfThread, $next->kind);
        self::assertStringContainsString('and the band ends at 6.0.', $next->sentence);
    }

    public function test_or_the_one_that_the_poses_ask_of_the_straight_one(): void
    {
        $job = TestJob::throttle(standing: TestJob::standing(['grip' => 8.0, 'carburettor' => 11.9]))
            ->ready()
            ->read(7, 7, 7)
            ->readIn(Pose::Left, 7.5, 7.5, 7.5)->readIn(Pose::Right, 7, 7, 7);
        $next = $job->state->next();
        self::assertSame(PlanKind::OutOfThread, $next->kind);
        self::assertMatchesRegularExpression(
            '/and for the other poses to be inside it has to be at most 5\.\d straight\./',
            $next->sentence,
        );
    }

    public function test_a_pose_at_the_very_edge_blames_no_part_it_is_read_again(): void
    {
        $job = self::atTheEdgeFullRight(6.15, 6.0);
        $next = $job->state->next();
        self::assertSame(PlanKind::Read, $next->kind);
        self::assertStringStartsWith(
            'Read it again with bars full right: it stands at the edge of the band there, and no turn brings it further in.',
            $next->sentence,
        );
        self::assertStringNotContainsString('Suspect', $next->sentence);
        self::assertSame('pose:right', $job->state->progress->asks()?->key);
        self::assertFalse($job->state->progress->item('pose:right')?->failed);

        $again = $job->readIn(Pose::Right, 5.85, 5.8, 5.85, 5.8)->state;
        self::assertTrue($again->judgement->poses['right']->mayBeLeft(), $again->judgement->poses['right']->sentence);
        self::assertSame(
            ['leave'],
            array_map(static fn (Answer $one): string => $one->word, $again->progress->asks()->answers ?? []),
        );
    }

    public function test_and_where_many_readings_do_not_tell_it_says_so_and_still_blames_none(): void
    {
        $next = self::atTheEdgeFullRight(6.05, 6.0, 6.05, 6.0, 6.05, 6.0)->state->next();
        self::assertSame(PlanKind::Decide, $next->kind);
        self::assertMatchesRegularExpression(
            '/^Bars full right: Outside with \d\d %: this caliper can say no more\. Grip adjuster: not enough thread/',
            $next->sentence,
        );
        self::assertStringNotContainsString('Suspect', $next->sentence);
    }

    public function test_a_straight_reading_taken_once_is_taken_again_before_a_part_is_blamed_for_another_pose(): void
    {
        $job = TestJob::throttle(standing: TestJob::standing(['grip' => 0.0, 'carburettor' => 0.2]))
            ->ready()
            ->read(3.6)
            ->readIn(Pose::Right, 3.6, 3.6)
            ->readIn(Pose::Left, 0.9, 0.9);
        self::assertSame(
            'By one reading straight, nothing here brings every pose inside. Read it once more with bars straight, before a part is blamed.',
            $job->state->next()->sentence,
        );
        self::assertSame(Pose::Straight, $job->state->next()->again);
        self::assertSame(
            'pose:straight',
            $job->state->progress->asks()?->key,
            'not the one that was read twice already',
        );
        self::assertSame(
            '3.6 mm · Inside the band. Read it again: one reading may be misread',
            $job->state->progress->asks()->said,
        );

        $again = $job->readIn(Pose::Straight, 3.6)->state;
        self::assertSame(
            2,
            $again->judgement->nowGroup?->found->count,
            'it is the second of one group, whatever was read in between',
        );
        self::assertSame(PlanKind::OutOfThread, $again->next()->kind);
        self::assertSame('pose:left', $again->progress->asks()?->key);
    }

    public function test_a_pose_that_is_likelier_outside_than_inside_is_turned_also_where_another_instrument_would_tell(): void
    {
        $job = TestJob::throttle()->ready()->read(4.5)->readIn(Pose::Left, 6.0, 6.5, 6.5);
        self::assertSame("Can't tell: 10 % chance of inside", $job->state->judgement->poses['left']->sentence);
        self::assertStringEndsWith('take a caliper.', (string) $job->state->judgement->poses['left']->advice);
        self::assertSame(PlanKind::Move, $job->state->next()->kind, $job->state->next()->sentence);
        self::assertGreaterThan(0, self::advice($job)->steps?->count, 'out takes up');
        self::assertTrue($job->state->progress->item('pose:left')?->failed);
        self::assertSame(
            'pose:right',
            $job->state->progress->asks()?->key,
            'the other pose is read before it is turned',
        );
        self::assertSame(
            'pose:left',
            $job->readIn(Pose::Right, 3.5)->state->progress->asks()?->key,
            'and nothing is tried before it is',
        );
    }

    public function test_nor_is_a_cable_without_an_adjuster_blamed_for_a_pose_that_nobody_can_tell(): void
    {
        $nothing = TestJob::clutchRun();
        $nothing['cables'][0]['adjusters'] = [['id' => 'none', 'name' => 'no adjuster', 'kind' => 'none']];
        $poses = ['conditions' => ['engine' => 'cold', 'poses' => ['straight', 'left', 'right']]];
        $job = TestJob::clutch($poses, standing: TestJob::standing([]), run: $nothing)->ready();
        $job->instrument = 'caliper';
        $job->read(19.5, 19.5, 19.5)->readIn(Pose::Left, 19.5, 19.5, 19.5)->readIn(Pose::Right, 20.15, 20.0);
        $next = $job->state->next();
        self::assertSame(PlanKind::Read, $next->kind, $next->sentence);
        self::assertStringEndsWith('No part is blamed for that.', $next->sentence);
        self::assertSame('pose:right', $job->state->progress->asks()?->key);

        $next = $job->readIn(Pose::Right, 20.05, 20.0, 20.05, 20.0)->state->next();
        self::assertSame(PlanKind::Decide, $next->kind, $next->sentence);
        self::assertMatchesRegularExpression(
            '/^Bars full right: Outside with \d\d %: this caliper can say no more\.$/',
            $next->sentence,
        );
        $told = $job->readIn(Pose::Right, 20.9, 20.9, 20.9, 20.9, 20.9, 20.9, 20.9)->state->next();
        self::assertSame(PlanKind::OutOfThread, $told->kind, 'what is told to be outside is put right');
    }

    public function test_a_pose_that_is_told_to_be_outside_still_names_the_limit(): void
    {
        self::assertSame(PlanKind::OutOfThread, self::atTheEdgeFullRight(6.6, 6.6, 6.6)->state->next()->kind);
    }

    /** Straight and full left are well inside, and neither adjuster has thread left to take up with. */
    private static function atTheEdgeFullRight(float ...$right): TestJob
    {
        $job = TestJob::throttle(standing: TestJob::standing(['grip' => 8.6, 'carburettor' => 11.9]))->ready();
        $job->instrument = 'caliper';

        return $job->read(5.7, 5.75, 5.7)->readIn(Pose::Left, 5.7, 5.75, 5.7)->readIn(Pose::Right, ...$right);
    }

    public function test_what_no_reading_settles_and_nothing_can_turn_says_both(): void
    {
        $rule = ['shelf' => [[
            'id' => 'rule',
            'name' => 'Steel rule',
            'kind' => 'steel_rule',
            'resolution_mm' => 0.5,
            'reach_mm' => 300,
        ]]];
        $next = TestJob::clutch(standing: $rule + TestJob::standing(['perch' => 8.7, 'bracket' => 17.5]))
            ->ready()
            ->read(20.0, 19.5, 20.0)->state
            ->next();
        self::assertSame(PlanKind::Decide, $next->kind);
        self::assertMatchesRegularExpression(
            '/^Inside with \d\d %: this steel rule can say no more\. A finer instrument would\. Perch barrel: not enough thread to take up the slack/',
            $next->sentence,
        );
        self::assertStringNotContainsString('turn it', $next->sentence);
    }

    /**
     * At the edge of a narrow band even one flat passes the far edge with more than 5 % chance; nothing less can be
     * tried, and no thread is short.
     */
    public function test_a_first_move_may_always_be_the_smallest_step_there_is(): void
    {
        $narrow = ['aim' => ['kind' => 'free_play_band', 'point' => 'lever_tip', 'low_mm' => 2.0, 'high_mm' => 3.0]];
        $job = TestJob::clutch($narrow)->ready()->read(1.5, 2.0, 2.0, 2.0, 2.0, 2.0, 2.0);
        $next = $job->state->next();
        self::assertSame(PlanKind::Move, $next->kind, $next->sentence);
        self::assertSame(Steps::PER_FLAT, abs($next->plan?->steps[0]->steps->count ?? 0));
        foreach ($next->options as $one) {
            self::assertStringNotContainsString('not enough', $one->sentence);
        }
    }

    /** Play stands at its target, as far as anybody can tell: that no turn betters it is no lack of thread. */
    public function test_where_no_turn_brings_play_further_inside_no_thread_is_called_short(): void
    {
        $tiny = ['aim' => ['kind' => 'free_play_band', 'point' => 'lever_tip', 'low_mm' => 2.0, 'high_mm' => 2.4]];
        $next = TestJob::clutch($tiny)->ready()->read(2.0, 2.5, 2.0, 2.5, 2.0, 2.5, 2.0, 2.5)->state->next();
        self::assertSame(PlanKind::Decide, $next->kind, $next->sentence);
        self::assertStringNotContainsString('not enough', $next->sentence);
        self::assertStringEndsWith(
            'Perch barrel: no step of it brings play further inside. Engine bracket: no step of it brings play further inside. Get a finer instrument, or hang the tag.',
            $next->sentence,
        );
        $unseen = TestJob::standing(['perch' => null, 'bracket' => null]);
        $job = TestJob::clutch($tiny, standing: $unseen)->readyUnseen();
        self::assertStringNotContainsString(
            'it may reach',
            $job->read(2.0, 2.5, 2.0, 2.5, 2.0, 2.5, 2.0, 2.5)->state->next()->sentence,
            'it is there already',
        );
    }

    public function test_a_one_sided_band_takes_the_smallest_good_move(): void
    {
        $job = TestJob::clutch(['aim' => ['low_mm' => 5, 'high_mm' => null]])->ready()->read(2, 2, 2);
        $advice = self::advice($job);
        self::assertNull($job->state->next()->target);
        self::assertGreaterThanOrEqual(5.0, $advice->expected);
        self::assertLessThan(5.0 + 3.5 * 1.25, $advice->expected);
    }

    private static function advice(TestJob $job): AdjusterAdvice
    {
        $next = $job->state->next();

        return $next->options[$next->recommended ?? ''] ?? self::fail("No move is advised: {$next->sentence}");
    }

    /** Nor further than its whole thread allows, with what must stay engaged: a barrel would come off. */
    public function test_what_cannot_be_seen_is_turned_one_turn_at_a_time_and_never_out_of_its_thread(): void
    {
        $job = TestJob::clutch(standing: TestJob::standing(['perch' => null, 'bracket' => null]))->readyUnseen();
        $perch = $job->state->run->adjuster('perch') ?? self::fail('no barrel');
        $whole = $perch->safe()->to->minus($perch->travel()->from)->count;
        $whole -= $whole % Steps::PER_FLAT;
        $job->read(60, 60, 60);
        [$now, $out] = [60.0, 0];
        while ($out < $whole) {
            $next = $job->state->next();
            self::assertSame(PlanKind::Move, $next->kind, "at {$now} mm");
            $steps = $next->options['perch']->steps->count ?? 0;
            self::assertSame(['perch', min(Steps::PER_TURN, $whole - $out)], [$next->recommended, $steps]);
            $job->entry('move', ['adjuster' => 'perch', 'turns' => $steps / Steps::PER_TURN]);
            $out += $steps;
            $now -= 1.25 * $steps / Steps::PER_TURN * 132 / 38;
            $job
                ->line(sprintf('%.1f', $now), 'in_band')
                ->line(sprintf('%.1f', $now), 'in_band')
                ->line(sprintf('%.1f', $now), 'in_band');
        }
        self::assertGreaterThan(5 * Steps::PER_TURN, $out);
        $next = $job->state->next();
        self::assertSame([PlanKind::Move, 'bracket'], [$next->kind, $next->recommended], 'the other one is turned');
        self::assertSame(
            'perch barrel: it was moved that way as far as it can go. Look at where it stands.',
            $next->options['perch']->sentence,
        );
        self::assertSame(
            'The perch barrel cannot go out 4 turns: that is beyond its thread. From one end to the other it goes 8.8 turns, and it was moved that way before.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry('move', ['adjuster' => 'perch', 'turns' => 4])),
        );
        self::assertNull($job->state->facts->adjusters->positions['perch'], 'where it stands is still not known');
        $job->entry('move', ['adjuster' => 'perch', 'turns' => -8]);
    }
}
