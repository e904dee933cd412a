<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Facts;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Tests\Support\TestJob;

/** What is asked about a reading before it counts, and what each answer does. */
final class DoubtTest extends TestCase
{
    /** @return iterable<string, array{list<float>, string|null}> */
    public static function together(): iterable
    {
        yield 'two that differ by ten times what a hand does' => [
            [4.4, 0.4],
            '4.4 and 0.4 do not go together: misread?',
        ];
        yield 'two far apart about the middle of a band' => [[1.0, 7.0], '1 and 7 do not go together: misread?'];
        yield 'one of three far off' => [[15.0, 15.5, 25.0], '25 does not go with the others: misread?'];
        yield 'the first of three far off' => [[25.0, 15.0, 15.5], '25 does not go with the others: misread?'];
        yield 'ten times the others' => [
            [15.0, 15.5, 152.0],
            '152 is more than this control can move at the lever tip, 132.0 mm by its distances: misread?',
        ];
        yield 'a tenth of the others' => [
            [15.0, 15.5, 1.5],
            '1.5 does not go with the others: a slipped decimal point?',
        ];
        yield 'two and two' => [[15.0, 15.0, 25.0, 25.0], '15, 15, 25 and 25 do not go together: misread?'];
        yield 'as a hand repeats' => [[15.0, 15.5, 14.5], null];
        yield 'a tip cannot travel further than it is from its pivot' => [
            [140.0],
            '140 is more than this control can move at the lever tip, 132.0 mm by its distances: misread?',
        ];
        yield 'outnumbered, it is left out without a question' => [[15.0, 15.5, 15.0, 25.0], null];
    }

    /** @param  list<float>  $values */
    #[DataProvider('together')]
    public function test_readings_that_do_not_go_together_are_never_averaged_in_silence(
        array $values,
        ?string $question,
    ): void {
        $state = TestJob::clutch()->ready()->read(...$values)->state;
        self::assertSame($question, $state->judgement->nowGroup?->doubt?->question);
        if ($question !== null) {
            self::assertSame(VerdictKind::CantTell, $state->judgement->now->kind);
            self::assertSame(PlanKind::Decide, $state->next()->kind);
            self::assertSame(0, $state->beliefs()->groupsUsed, 'and it teaches nothing');
            self::assertNotSame([], $state->progress->blocks(ClosingOutcome::Fit));
        }
    }

    /** Its engine hot or cold: where that moves no play, another reading of the same play is the same play. */
    public function test_what_does_not_go_together_is_asked_about_across_a_state_that_changes_nothing(): void
    {
        $as = static fn (TestJob $job, string $engine): TestJob => $job->entry(
            'condition',
            ['engine' => $engine, 'wheels' => 'on_ground'],
        );
        $job = $as(TestJob::throttle()->toReading(), 'hot')->readIn(Pose::Left, 9.0);
        $as($job, 'cold')->readIn(Pose::Left, 4.0);
        $open = array_map(
            static fn (StageItem $item): string => $item->key,
            array_merge(...array_values($job->state->progress->items)),
        );
        self::assertContains('doubt:'.$job->last(), $open, 'a grip plays hot as it plays cold');
        $warm = $as(TestJob::clutch()->toReading(), 'hot')->read(25, 25);
        $as($warm, 'cold')->read(15, 15);
        self::assertNull($warm->state->judgement->nowGroup?->doubt, 'a clutch does not');
    }

    public function test_taken_back_it_is_as_if_it_had_never_been(): void
    {
        $job = TestJob::clutch()->ready()->read(15, 15.5);
        $before = $job->state->judgement->now->chanceInside;
        $job->read(25);
        self::assertSame('doubt:'.$job->last(), $job->state->progress->asks()?->key);
        $job->line('misread');
        self::assertNull($job->state->judgement->nowGroup?->doubt);
        self::assertSame($before, $job->state->judgement->now->chanceInside);
    }

    public function test_stood_by_it_counts_and_the_group_is_only_as_sure_as_its_own_spread(): void
    {
        $job = TestJob::clutch()->ready()->read(15, 15.5, 25)->line('right');
        $group = $job->state->judgement->nowGroup;
        self::assertNotNull($group);
        self::assertNull($group->doubt);
        self::assertEqualsWithDelta(55.5 / 3, $group->found->mean, 1e-9);
        self::assertGreaterThan(8.0, $group->found->expanded());
        self::assertSame('It is right: read 25 mm at the lever tip', self::lastRow($job));
    }

    public function test_two_that_do_not_go_together_are_both_right_if_one_is_said_to_be(): void
    {
        $job = TestJob::clutch()->ready()->read(11, 19)->line('right');
        self::assertNull($job->state->judgement->nowGroup?->doubt);
        self::assertSame(
            VerdictKind::CantTell,
            $job->state->judgement->now->kind,
            'eight millimetres apart, nothing is sure',
        );
    }

    public function test_read_again_the_odd_one_is_left_out_once_three_others_agree(): void
    {
        $job = TestJob::clutch()->ready()->read(15, 15.5, 25)->read(15);
        $group = $job->state->judgement->nowGroup;
        self::assertNull($group?->doubt);
        self::assertSame(['25'], array_map(static fn ($one): string => $one->entered, $group->leftOut ?? []));
        self::assertEqualsWithDelta(45.5 / 3, $group?->found->mean, 1e-9);
        self::assertSame(VerdictKind::Inside, $job->state->judgement->now->kind);
        $job->entry('upheld', ['reading' => $group?->leftOut[0]->stamp->id]);
        self::assertEqualsWithDelta(
            70.5 / 4,
            $job->state->judgement->nowGroup?->found->mean,
            1e-9,
            'and comes in again if it is right',
        );
    }

    public function test_a_jump_with_no_move_between_is_challenged(): void
    {
        $job = TestJob::clutch()->ready()->read(15, 15.5, 15);
        $job->instrument = 'caliper';
        $job->read(19);
        self::assertStringContainsString(
            'Read 15.2 mm before and 19.0 mm now, and nothing was moved in between',
            $job->state->judgement->nowGroup->doubt->question ?? '',
        );
        $job->line('right');
        self::assertNull($job->state->judgement->nowGroup?->doubt);
    }

    public function test_a_jump_is_challenged_in_a_pose_and_on_a_second_cable_too(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 3.5, 3.5, 3.5);
        $job->instrument = 'caliper';
        $job->readIn(Pose::Left, 6);
        self::assertNotNull($job->state->judgement->poseGroups['left']->doubt);
        self::assertSame(['pose', 'left'], ['pose', $job->state->progress->item('doubt:'.$job->last())?->about]);
    }

    public function test_only_what_was_asked_about_is_stood_by(): void
    {
        $job = TestJob::clutch()->ready()->read(15, 15.5);
        self::assertSame(
            'Nothing is asked about that reading: it goes with the others.',
            $job->refusal(static fn (TestJob $one) => $one->entry('upheld', ['reading' => $one->last()])),
        );
    }

    public function test_what_the_instrument_cannot_tell_may_be_left_and_proved(): void
    {
        $job = TestJob::clutch(
            ['aim' => ['point' => 'perch_gap', 'low_mm' => 2, 'high_mm' => 3]],
            ['hand' => [
                'kind' => 'lever',
                'name' => 'Lever',
                'pivot_to_wire_mm' => 38,
                'pivot_to_point_mm' => ['perch_gap' => 31],
                'knowledge' => 'measured',
            ]]
                + TestJob::clutchRun(),
            ['shelf' => [[
                'id' => 'rule',
                'name' => 'Steel rule',
                'kind' => 'steel_rule',
                'resolution_mm' => 0.5,
                'reach_mm' => 300,
            ]]]
                + TestJob::standing(),
        );
        $job->ready()->read(2.5, 2.0, 2.5);
        self::assertSame(VerdictKind::CantTell, $job->state->judgement->now->kind);
        self::assertSame('in_band', self::asked($job));
        $job->line('leave');
        self::assertNotSame('in_band', self::asked($job), 'the job goes on');
        self::assertSame(PlanKind::Prove, $job->state->next()->kind);
        self::assertStringStartsWith(
            "Left as it reads: Can't tell",
            $job->state->progress->item('in_band')->said ?? '',
        );
        $job->line('+1f', 'in_band');
        self::assertSame([], $job->state->facts->chosen->enough, 'until the next move');
    }

    public function test_what_is_inside_or_surely_outside_is_not_left_as_it_reads(): void
    {
        $leave = static fn (TestJob $one) => $one->entry('enough', ['point' => 'lever_tip', 'pose' => 'straight']);
        self::assertSame(
            'It is inside the band already.',
            TestJob::clutch()->ready()->read(15, 15, 15)->refusal($leave),
        );
        self::assertStringStartsWith(
            'Outside: too loose by 5.0.',
            TestJob::clutch()->ready()->read(25, 25, 25)->refusal($leave),
        );
    }

    public function test_play_needs_its_chance_and_not_a_reading_above_zero(): void
    {
        $job = TestJob::throttle(['aim' => ['low_mm' => 0.2, 'high_mm' => 6]])->ready()->read(0.5);
        $gate = array_values(array_filter(
            $job->state->judgement->gates,
            static fn ($one): bool => $one->gate->key->value === 'not_taut',
        ))[0];
        self::assertSame('unknown', $gate->status->value);
        self::assertStringContainsString('Not sure that there is any play at all: bars straight', $gate->sentence);
    }

    public function test_an_adjuster_that_cannot_be_seen_is_answered_and_found_by_its_stop(): void
    {
        $job = TestJob::clutch(standing: TestJob::standing(['perch' => null, 'bracket' => 6.0]));
        while (($item = $job->state->progress->asks()) !== null && $item->key !== 'thread:perch') {
            $job->line($item->key === 'condition' ? 'cold' : 'ok');
        }
        $job->line('unseen');
        self::assertSame('Cannot be seen', $job->state->progress->item('thread:perch')?->said);
        self::assertStringStartsWith('reading', (string) $job->state->progress->asks()?->key, 'it blocks no reading');
        $job->read(25.5, 25, 25.5)->line('+1t', 'in_band')->line('stop');
        self::assertSame(
            $job->state->run->adjuster('perch')?->travel()->to->count,
            $job->state->facts->adjusters->positions['perch']?->count,
        );
    }

    private static function lastRow(TestJob $job): string
    {
        $rows = \VividPull\Core\Wire\LogRows::of($job->state);

        return $rows[count($rows) - 1]['what'];
    }

    /** @phpstan-impure */
    private static function asked(TestJob $job): ?string
    {
        return $job->state->progress->asks()?->key;
    }
}
