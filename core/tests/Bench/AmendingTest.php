<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Amending;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Tests\Support\TestJob;

final class AmendingTest extends TestCase
{
    public function test_a_reading_keeps_its_place_its_pose_and_its_state(): void
    {
        $job = TestJob::throttle()->ready()->readIn(Pose::Left, 4.0);
        $reading = $job->last();
        $job->line('hot', 'condition');
        $draft = Amending::read('4.5', $reading, 'misread', $job->state, $job->person);
        self::assertSame(EntryKind::Amend, $draft->kind);
        self::assertSame(
            ['left', 'cold', 4.5],
            [$draft->body['body']['pose'], $draft->body['body']['engine'], $draft->body['body']['mm']],
        );
        $job->entry('amend', $draft->body);
        self::assertEqualsWithDelta(4.5, $job->state->judgement->poseGroups['left']->found->mean, 1e-12);
    }

    public function test_a_move_stays_on_its_adjuster(): void
    {
        $job = TestJob::clutch()->ready()->line('+1t', 'in_band');
        $draft = Amending::read('+1t2f', $job->last(), 'miscounted', $job->state, $job->person);
        self::assertSame('perch', $draft->body['body']['adjuster']);
        self::assertEqualsWithDelta(8 / 6, $draft->body['body']['turns'], 1e-12);
    }

    public function test_answers_threads_and_the_state_are_put_right_in_their_own_words(): void
    {
        $job = TestJob::clutch()->entry('inspected', ['key' => 'wire', 'finding' => 'sound']);
        self::assertSame(
            ['key' => 'wire', 'finding' => 'fault', 'remark' => 'two strands'],
            Amending::read('fault two strands', $job->last(), 'looked again', $job->state, $job->person)->body['body'],
        );
        $job->entry('thread', ['adjuster' => 'perch', 'showing_mm' => 3.1]);
        self::assertSame(
            3.4,
            Amending::read(
                '3.4',
                $job->last(),
                'measured again',
                $job->state,
                $job->person,
            )->body['body']['showing_mm'],
        );
        $job->entry('condition', ['engine' => 'hot', 'wheels' => 'on_ground']);
        self::assertSame(
            'cold',
            Amending::read('cold', $job->last(), 'it was cold', $job->state, $job->person)->body['body']['engine'],
        );
    }

    public function test_a_reading_does_not_become_a_move(): void
    {
        $job = TestJob::clutch()->ready()->read(25);
        $this->expectException(CoreError::class);
        $this->expectExceptionMessage(
            'That line would be a note, and the entry is a reading. Take it back and log it anew.',
        );
        Amending::read('n nonsense', $job->last(), 'x', $job->state, $job->person);
    }

    public function test_a_note_is_taken_back_and_not_put_right(): void
    {
        $job = TestJob::clutch()->line('n boot torn');
        $this->expectExceptionMessage('An entry of the kind note cannot be put right. Take it back and log it anew.');
        Amending::read('n boot sound', $job->last(), 'x', $job->state, $job->person);
    }
}
