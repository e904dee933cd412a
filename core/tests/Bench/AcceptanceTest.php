<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Tests\Support\TestJob;

final class AcceptanceTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        $reading = [
            'mm' => 25.0,
            'entered' => '25',
            'point' => 'lever_tip',
            'engine' => 'cold',
            'wheels' => 'on_ground',
            'instrument' => 'caliper',
        ];
        yield 'beyond the reach of the instrument' => [
            'reading',
            ['mm' => 999.0] + $reading,
            'Read 999 mm, but the Caliper reaches 150 mm. Type the reading again.',
        ];
        yield 'below zero' => [
            'reading',
            ['mm' => -3.0] + $reading,
            'Read -3 mm, but play is never below zero. Type the reading again.',
        ];
        yield 'with something that is not on the shelf' => [
            'reading',
            ['instrument' => 'laser'] + $reading,
            '“laser” is not an instrument on the shelf. Choose one that is.',
        ];
        yield 'in a pose the spec does not know' => [
            'reading',
            ['pose' => 'left'] + $reading,
            'The spec knows no figure for bars full left. Read it with bars straight.',
        ];
        yield 'where play is not read' => [
            'reading',
            ['point' => 'carburettor_barrel'] + $reading,
            'Play is not read at the carburettor barrel on this control.',
        ];
        yield 'an adjuster that is not there' => [
            'move',
            ['adjuster' => 'cam', 'turns' => 1],
            '“cam” is not an adjuster of this control. It has: perch barrel, engine bracket.',
        ];
        yield 'out beyond the thread' => [
            'move',
            ['adjuster' => 'perch', 'turns' => 7],
            'The perch barrel cannot go out 7 turns: that is beyond its thread. It has 6.8 turns (8.5 mm) left that way.',
        ];
        yield 'in beyond the thread' => [
            'move',
            ['adjuster' => 'perch', 'turns' => -3],
            'The perch barrel cannot go in 3 turns: that is beyond its thread. It has 2 turns (2.5 mm) left that way.',
        ];
        yield 'more thread than there is' => [
            'thread',
            ['adjuster' => 'perch', 'showing_mm' => 12],
            'The perch barrel has 11 mm of thread in all, so 12 mm cannot show. Measure it again.',
        ];
        yield 'a step that is none of this job' => [
            'confirmed',
            ['key' => 'dance'],
            '“dance” is not a step of this job.',
        ];
        yield 'something not looked over here' => [
            'inspected',
            ['key' => 'grip', 'finding' => 'sound'],
            '“grip” is not something to look over on this control.',
        ];
        yield 'a proof of another family' => [
            'check',
            ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'left'],
            '“snap_shut” is not a proof of this control.',
        ];
        yield 'an answer that is none' => [
            'check',
            ['key' => 'bite', 'answer' => 'maybe'],
            'Answer with early or middle or late.',
        ];
        yield 'a pose where none belongs' => [
            'check',
            ['key' => 'arm_loose', 'answer' => 'yes', 'pose' => 'left'],
            '“Release arm loose by hand, just feelable” is answered once, without a pose.',
        ];
        yield 'an entry that is not in the job' => [
            'void',
            ['entry' => 'e999', 'reason' => 'x'],
            'The entry to be changed is not in this job.',
        ];
        yield 'the opening, taken back' => [
            'void',
            ['entry' => 'e1', 'reason' => 'x'],
            'An entry of the kind opened cannot be taken back.',
        ];
        yield 'a tag lifted where none hangs' => ['untag', ['reason' => 'x'], 'No tag stands on this control.'];
        yield 'closed with things missing' => ['closed', ['outcome' => 'fit'], 'This cannot be closed as fit for use.'];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('refused')]
    public function test_an_entry_that_may_not_stand_gets_a_sentence(string $kind, array $body, string $sentence): void
    {
        $job = TestJob::clutch()->ready();
        self::assertStringContainsString(
            $sentence,
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry($kind, $body)),
        );
    }

    public function test_the_whole_thread_may_be_used(): void
    {
        $job = TestJob::clutch()
            ->ready()
            ->entry('move', ['adjuster' => 'perch', 'turns' => -2])
            ->entry('move', ['adjuster' => 'perch', 'turns' => 8.8]);
        self::assertEqualsWithDelta(
            11.0,
            1.25 * ($job->state->facts->adjusters->positions['perch']?->toFloat() ?? 0.0),
            1e-9,
        );
    }

    public function test_no_move_is_longer_than_the_whole_thread_though_nobody_knows_where_it_stands(): void
    {
        $job = TestJob::clutch(standing: TestJob::standing(['bracket' => null, 'perch' => null]));
        $try = static fn (float $turns): string => $job->refusal(static fn (TestJob $job): TestJob => $job->entry(
            'move',
            ['adjuster' => 'perch', 'turns' => $turns],
        ));
        self::assertSame(
            'The perch barrel goes 8.8 turns from one end to the other. It cannot have been moved by 9 turns.',
            $try(-9.0),
        );
        $job->entry('move', ['adjuster' => 'perch', 'turns' => 8.5]);
        self::assertCount(1, $job->state->facts->readings->moves);
    }

    public function test_an_amendment_may_not_bring_a_move_beyond_the_thread_either(): void
    {
        $job = TestJob::clutch()->ready()->line('+1t', 'in_band');
        $move = $job->last();
        $amend = [
            'entry' => $move,
            'kind' => 'move',
            'body' => ['adjuster' => 'perch', 'turns' => 20],
            'reason' => 'typed wrong',
        ];
        self::assertStringContainsString(
            'beyond its thread',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('amend', $amend)),
        );
    }

    public function test_an_entry_taken_back_is_not_taken_back_twice(): void
    {
        $job = TestJob::clutch()->ready()->read(25);
        $reading = $job->last();
        $job->line('v misread');
        self::assertSame(
            'That entry was taken back already.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'void',
                ['entry' => $reading, 'reason' => 'again'],
            )),
        );
    }

    public function test_who_has_not_joined_does_not_log(): void
    {
        $job = TestJob::clutch();
        $job->person = TestJob::oda();
        self::assertSame(
            'Oda is not on this job. Join it first, so that the log shows who did what.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->line('ok')),
        );
        self::assertArrayHasKey('engine_off', $job->as(TestJob::oda())->line('ok')->state->facts->answers->confirmed);
    }

    public function test_a_viewer_only_looks(): void
    {
        $job = TestJob::clutch();
        $job->person = new Person('office', 'Harbour office', Role::Viewer);
        self::assertSame(
            'Harbour office may look at jobs but not log in them. Ask a technician.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('joined', [])),
        );
    }

    public function test_an_apprentice_logs_and_does_not_sign(): void
    {
        $job = TestJob::clutch();
        $job->as(new Person('mirre', 'Mirre', Role::Apprentice))->line('ok');
        self::assertSame(
            'Mirre signs as apprentice and cannot sign a job off. Ask a technician or a lead.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry('closed', ['outcome' => 'fit'])),
        );
    }

    public function test_a_closed_job_takes_nothing_more(): void
    {
        $job = TestJob::clutch()->ready()->line('tag frayed wire')->entry('closed', ['outcome' => 'tagged']);
        self::assertSame(
            'This job was closed by Ines on 2026-03-03. Start a new job to go on.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->line('n one more')),
        );
    }
}
