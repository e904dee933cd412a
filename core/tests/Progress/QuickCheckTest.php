<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Progress;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\ClosingRecord;

/**
 * A check reads play and nothing else, says no more than that, and becomes a whole job as soon as anything is wrong.
 */
final class QuickCheckTest extends TestCase
{
    /** @return list<string> */
    private static function asked(TestJob $job): array
    {
        return array_map(
            static fn (StageItem $item): string => $item->key,
            array_merge(...array_values($job->state->progress->items)),
        );
    }

    private static function safe(TestJob $job): TestJob
    {
        return $job->line('all ok', $job->state->progress->asks()?->key)->line('cold');
    }

    public function test_it_asks_what_makes_safe_the_state_the_reading_and_the_signature(): void
    {
        $job = TestJob::clutchCheck();
        $kinds = array_unique(array_map(
            static fn (string $key): string => explode(':', $key)[0],
            array_diff(
                self::asked($job),
                array_map(static fn (StageItem $one): string => $one->key, $job->state->progress->items['make_safe']),
            ),
        ));

        self::assertSame(['condition', 'reading', 'sign_off'], array_values($kinds));
        self::assertNotSame([], $job->state->progress->items['make_safe']);
    }

    public function test_inside_it_is_signed_as_checked_and_never_as_fit(): void
    {
        $job = self::safe(TestJob::clutchCheck())->line('15', 'reading:found');

        self::assertSame(JobStage::Close, $job->state->progress->stage);
        self::assertSame([], $job->state->progress->blocks(ClosingOutcome::Checked));
        self::assertStringStartsWith(
            'This cannot be closed as fit for use.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('closed', ['outcome' => 'fit'])),
        );
        $job->entry('closed', ['outcome' => 'checked']);

        $record = ClosingRecord::of($job->state);
        self::assertSame(15.0, $record['left']['mm']);
        self::assertContains('unknown', array_column($record['gates'], 'status'), 'what nobody tried is not passed');
        self::assertSame(JobStage::Close, $job->state->progress->stage);
    }

    public function test_nothing_is_signed_before_it_is_safe_and_read(): void
    {
        $job = TestJob::clutchCheck();
        self::assertStringContainsString(
            'Make safe:',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('closed', ['outcome' => 'checked'])),
        );
        self::safe($job);
        self::assertStringContainsString(
            'As found: reading at the',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('closed', ['outcome' => 'checked'])),
        );
    }

    public function test_a_reading_that_cannot_decide_is_read_again_and_not_signed(): void
    {
        $job = self::safe(TestJob::clutchCheck())->line('10.2', 'reading:found');

        self::assertSame('reading:found', $job->state->progress->asks()?->key);
        self::assertNotSame([], $job->state->progress->blocks(ClosingOutcome::Checked));
        self::assertTrue($job->state->progress->check?->isOn());
    }

    public function test_outside_it_is_a_whole_job_with_all_that_was_answered(): void
    {
        $job = self::safe(TestJob::clutchCheck())->line('27', 'reading:found');

        self::assertStringContainsString('it is a whole job now', $job->state->progress->check->over ?? '');
        self::assertSame(JobStage::LookOver, $job->state->progress->stage, 'what was passed over is asked now');
        self::assertTrue($job->state->progress->item('reading:found')?->done);
        self::assertContains('check:arm_loose', self::asked($job));
        self::assertStringContainsString(
            'it is a whole job now',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('closed', ['outcome' => 'checked'])),
        );
    }

    /** @return iterable<string, array{callable(TestJob): TestJob, string}> */
    public static function whole(): iterable
    {
        yield 'it is chosen' => [static fn (TestJob $job): TestJob => $job->line('whole job'), 'gone on with'];
        yield 'something is moved' => [static fn (TestJob $job): TestJob => $job->line('+1f'), 'moved'];
        yield 'a fault is found' => [
            static fn (TestJob $job): TestJob => $job->entry(
                'inspected',
                ['key' => 'wire', 'finding' => 'fault', 'remark' => 'frayed'],
            ),
            'not right',
        ];
        yield 'a tag is hung' => [
            static fn (TestJob $job): TestJob => $job->line('tag frayed at the lever'),
            'tag stands',
        ];
        yield 'a part is fitted' => [
            static fn (TestJob $job): TestJob => $job->entry('part', ['part' => 'cable', 'remark' => 'TR-330']),
            'More was done',
        ];
    }

    /** @param  callable(TestJob): TestJob  $do */
    #[DataProvider('whole')]
    public function test_it_is_a_whole_job_once(callable $do, string $why): void
    {
        $job = $do(self::safe(TestJob::clutchCheck())->line('15', 'reading:found'));

        self::assertStringContainsString($why, $job->state->progress->check->over ?? '');
        self::assertNotSame([], $job->state->progress->blocks(ClosingOutcome::Checked));
        self::assertContains('wire', self::asked($job));
    }

    public function test_what_is_tagged_or_brought_in_for_something_is_never_only_checked(): void
    {
        $tagged = TestJob::clutchCheck(['tag' => [
            'reason' => 'frayed',
            'at' => '2026-03-01T08:00:00+00:00',
            'by' => 'Oda',
        ]]);
        $complained = TestJob::clutchCheck(['symptoms' => ['creeps_in']]);

        self::assertStringContainsString('only a whole job lifts it', $tagged->state->progress->check->over ?? '');
        self::assertStringContainsString('Brought in for: creeps', $complained->state->progress->check->over ?? '');
    }

    public function test_a_whole_job_is_not_closed_as_checked(): void
    {
        $job = TestJob::clutch()->ready()->line('15');

        self::assertStringContainsString(
            'begun as a whole job',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('closed', ['outcome' => 'checked'])),
        );
        self::assertSame(
            'This is a whole job already.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->line('whole job')),
        );
    }

    /** Common practice, no source: a grip that has play only with the bars straight opens the throttle in a bend. */
    public function test_a_grip_is_checked_in_every_pose(): void
    {
        $grip = self::gripRead();
        self::assertNotSame([], $grip->state->progress->blocks(ClosingOutcome::Checked));
        $grip->readIn(Pose::Left, 4.0, 4.0, 4.0)->readIn(Pose::Right, 4.0, 4.0, 4.0);
        self::assertSame([], $grip->state->progress->blocks(ClosingOutcome::Checked));
        self::assertFalse(
            self::gripRead()->readIn(Pose::Left, 0.5, 0.5, 0.5)->state->progress->check?->isOn(),
            'tight to the left',
        );
    }

    private static function gripRead(): TestJob
    {
        $grip = TestJob::throttle([], [], [], true);
        $grip->line('all ok', $grip->state->progress->asks()?->key);
        while (($item = $grip->state->progress->asks()) !== null && $item->key !== 'reading:found') {
            $grip->line('cold', $item->key);
        }

        return $grip->readIn(Pose::Straight, 4.0, 4.0, 4.0);
    }

    public function test_what_was_left_faulty_before_is_not_forgotten(): void
    {
        $job = self::safe(TestJob::clutchCheck(['left' => [
            'at' => '2026-03-01T08:00:00+00:00',
            'by' => 'Oda',
            'faults' => ['Boot: torn'],
        ]]))->line('15', 'reading:found');
        $job->entry('closed', ['outcome' => 'checked']);

        self::assertSame(['Boot: torn'], ClosingRecord::of($job->state)['left_faults']);
    }
}
