<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Tests\Support\TestJob;

final class StagesTest extends TestCase
{
    public function test_a_job_goes_from_make_safe_to_close(): void
    {
        $job = TestJob::clutch();
        self::assertSame(JobStage::MakeSafe, $job->state->progress->stage);
        for ($i = 0; $i < 5; $i++) {
            $job->line('ok');
        }
        self::assertSame(JobStage::LookOver, $job->state->progress->stage);
        for ($i = 0; $i < 4; $i++) {
            $job->line('ok');
        }
        self::assertSame('condition', self::asked($job), 'the state is asked before the first reading');
        $job->ready()->read(25.5, 25, 25.5);
        self::assertSame('in_band', self::asked($job));
        $job->line('+2t2f')->read(15, 15, 15.5);
        self::assertSame('lock:perch', self::asked($job));
        $job->line('ok');
        self::assertSame('reading:left', self::asked($job), 'locking turns the adjuster: read it again');
        $job->read(15, 15, 15.5);
        self::assertSame(JobStage::Prove, $job->state->progress->stage);
        $job->line('yes')->line('yes');
        self::assertSame('slots_apart', self::asked($job), 'what was tried by hand comes before the refit');
        self::assertSame(
            'This runs the machine. Put back first what was taken off: Slots of barrel, ring and perch out of line. Covers, springs and guards back on, oil in, wheels down.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'check',
                ['key' => 'no_creep', 'answer' => 'yes'],
            )),
        );
        $job->line('ok')->line('ok');
        foreach (['yes', 'holds', 'middle'] as $answer) {
            $job->line($answer);
        }
        self::assertSame(JobStage::Close, $job->state->progress->stage);
        $job->line('ok');
        self::assertSame([], $job->state->progress->blocksFit);
        $job->entry('closed', ['outcome' => 'fit', 'next_check' => '2026-09-01']);
        self::assertSame(ClosingOutcome::Fit, $job->state->facts->closed?->outcome);
    }

    public function test_a_control_found_right_goes_straight_to_prove(): void
    {
        self::assertSame(JobStage::Prove, TestJob::clutch()->ready()->read(15, 15, 15)->state->progress->stage);
    }

    public function test_a_reading_in_the_wrong_state_is_flagged_and_not_judged(): void
    {
        $job = TestJob::clutch();
        while (self::asked($job) !== 'condition') {
            $job->line('ok');
        }
        $job->line('hot')->ready()->read(15, 15, 15);
        self::assertTrue($job->state->judgement->now->is(VerdictKind::NotJudged));
        self::assertSame(
            'Not judged: read hot; the figure is for a cold engine',
            $job->state->judgement->now->sentence,
        );
        self::assertSame('reading:found', self::asked($job), 'it is still due');
    }

    public function test_a_frayed_wire_cannot_be_closed_as_fit(): void
    {
        $job = TestJob::clutch()->line('fault strands broken', 'wire');
        self::assertContains('Clutch wire is damaged.', $job->state->progress->blocksFit);
        $refusal = $job->refusal(static fn (TestJob $job): TestJob => $job->entry('closed', ['outcome' => 'fit']));
        self::assertStringContainsString('Clutch wire is damaged.', $refusal);
        $job->line('tag wire frayed at the barrel')->entry('closed', ['outcome' => 'tagged']);
        self::assertSame(ClosingOutcome::Tagged, $job->state->facts->closed?->outcome);
    }

    public function test_outside_by_choice_needs_its_reason_and_the_family_to_allow_it(): void
    {
        $job = TestJob::clutch()->ready()->read(22, 22, 22);
        self::assertStringContainsString(
            'Say why it is left outside',
            implode(' ', $job->state->progress->blocksByChoice),
        );
        $job->entry('by_choice', ['reason' => 'Thick gloves.']);
        self::assertSame(JobStage::Prove, $job->state->progress->stage);
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'late'] as $answer) {
            $job->line($answer);
        }
        self::assertSame(JobStage::Close, $job->state->progress->stage, 'a late bite is what was wanted');
        self::assertContains('It is left outside by choice: close it as that.', $job->state->progress->blocksFit);
        $refusal = TestJob::throttle()
            ->ready()
            ->read(7.5, 7.5, 7.5)
            ->refusal(static fn (TestJob $job): TestJob => $job->entry('by_choice', ['reason' => 'x']));
        self::assertSame(
            'This control is never left outside its limits by choice. Set it, or tag the machine.',
            $refusal,
        );
    }

    public function test_a_throttle_that_was_not_tried_in_a_pose_cannot_be_closed(): void
    {
        $job = self::throttleTried(['straight', 'left']);
        $gate = $job->state->judgement->gatesThat(GateStatus::Unknown)[0] ?? null;
        self::assertSame('Snaps shut in every pose: not tried yet: bars full right.', $gate?->sentence);
        $refusal = $job->refusal(static fn (TestJob $job): TestJob => $job->entry('closed', ['outcome' => 'fit']));
        self::assertStringContainsString('bars full right', $refusal);
    }

    public function test_a_throttle_that_does_not_snap_shut_ends_in_a_tag(): void
    {
        $job = self::throttleTried(['straight', 'left'])->entry(
            'check',
            ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'right'],
        );
        self::assertSame(
            'Throttle does not snap shut, bars full right.',
            $job->state->judgement->gatesThat(GateStatus::Failed)[0]->sentence,
        );
        self::assertStringContainsString(
            'bars full right',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('closed', ['outcome' => 'fit'])),
        );
        self::assertStringContainsString(
            'Hang the tag first',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('closed', ['outcome' => 'tagged'])),
        );
        $job->line('tag does not snap shut')->entry('closed', ['outcome' => 'tagged']);
        self::assertNotNull($job->state->facts->tag);
    }

    public function test_a_failed_answer_taken_back_is_due_again_and_still_shows(): void
    {
        $job = self::throttleTried(['straight', 'left'])
            ->entry('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'right'])
            ->line('v tried with the key in');
        self::assertSame([], $job->state->judgement->gatesThat(GateStatus::Failed));
        self::assertCount(1, $job->state->facts->answers->voidedChecks);
    }

    public function test_only_a_leads_passing_job_lifts_a_tag(): void
    {
        $tag = ['tag' => ['reason' => 'does not snap shut', 'at' => '2026-03-01T10:00:00+00:00', 'by' => 'Ines']];
        $job = TestJob::throttle(standing: $tag)->ready()->read(4, 4, 4);
        $job->readIn(Pose::Left, 4, 4)->readIn(Pose::Right, 4, 4);
        self::assertStringContainsString(
            'Only a lead lifts a tag',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('untag', ['reason' => 'ok'])),
        );
        $job->as(TestJob::oda());
        self::assertStringContainsString(
            'The tag stays until every gate has passed.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('untag', ['reason' => 'ok'])),
        );
        foreach (['straight', 'left', 'right'] as $pose) {
            $job->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => $pose]);
        }
        $job->entry('check', ['key' => 'wire_in_groove', 'answer' => 'yes']);
        self::assertStringContainsString('A tag stands', implode(' ', $job->state->progress->blocksFit));
        $job->entry('untag', ['reason' => 'Every gate passed.']);
        self::assertNull($job->state->facts->tag);
    }

    public function test_a_taut_pose_fails_its_gate(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 0, 0);
        self::assertStringContainsString(
            'Seen with bars full left.',
            $job->state->judgement->gatesThat(GateStatus::Failed)[0]->sentence,
        );
    }

    public function test_a_cover_taken_off_is_back_on_before_the_end(): void
    {
        $job = TestJob::throttle()
            ->ready()
            ->entry('cover', ['adjuster' => 'grip', 'off' => true])
            ->line('ok', 'thread:grip')
            ->read(4, 4, 4);
        self::assertContains('Close: boot back on is missing.', $job->state->progress->blocksFit);
        $job->entry('cover', ['adjuster' => 'grip', 'off' => false]);
        self::assertNotContains('Close: boot back on is missing.', $job->state->progress->blocksFit);
    }

    private static function asked(TestJob $job): ?string
    {
        return $job->state->progress->asks()?->key;
    }

    /** @param  list<string>  $poses */
    private static function throttleTried(array $poses): TestJob
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 4, 4)->readIn(Pose::Right, 4, 4);
        foreach ($poses as $pose) {
            $job->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => $pose]);
        }

        return $job->entry('check', ['key' => 'wire_in_groove', 'answer' => 'yes']);
    }

    public function test_two_adjusters_are_locked_one_after_the_other_and_then_read_once(): void
    {
        $asks = static fn (TestJob $job): ?string => $job->state->progress->asks()?->key;
        $job = TestJob::clutch()->ready()->read(25, 25, 25)->line('+1t', 'in_band');
        $job->adjuster = 'bracket';
        self::assertSame('lock:perch', $asks($job->line('+1t', 'in_band')->read(16, 16, 16)));
        self::assertSame('lock:bracket', $asks($job->line('ok')));
        self::assertSame('reading:left', $asks($job->line('ok')));
        self::assertSame(
            'in_band',
            $asks($job->line('+1f', 'in_band')),
            'a move after the lock is read before anything is locked again',
        );
    }
}
