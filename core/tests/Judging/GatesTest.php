<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Judging;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Tests\Support\TestJob;

final class GatesTest extends TestCase
{
    public function test_before_anything_was_tried_nothing_is_known(): void
    {
        self::assertSame(
            [
                'snap_shut' => 'unknown',
                'wire_in_groove' => 'unknown',
                'wire_sound' => 'unknown',
                'not_taut' => 'unknown',
            ],
            self::gates(TestJob::throttle()),
        );
    }

    public function test_each_gate_passes_by_its_own_trial(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 4, 4)->readIn(Pose::Right, 4, 4);
        self::assertSame(
            ['snap_shut' => 'unknown', 'wire_in_groove' => 'unknown', 'wire_sound' => 'passed', 'not_taut' => 'passed'],
            self::gates($job),
        );
        foreach (['straight', 'left', 'right'] as $pose) {
            $job->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => $pose]);
        }
        $job->entry('check', ['key' => 'wire_in_groove', 'answer' => 'yes']);
        self::assertSame(['passed'], array_values(array_unique(self::gates($job))));
    }

    /** @return iterable<string, array{callable(TestJob): TestJob, string, string}> */
    public static function failures(): iterable
    {
        yield 'one pose of three does not snap shut' => [
            static fn (TestJob $job): TestJob => $job->entry(
                'check',
                ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'left'],
            ),
            'snap_shut',
            'bars full left',
        ];
        yield 'the wire out of its groove' => [
            static fn (TestJob $job): TestJob => $job->entry('check', ['key' => 'wire_in_groove', 'answer' => 'no']),
            'wire_in_groove',
            'out of its groove',
        ];
        yield 'a damaged wire' => [
            static fn (TestJob $job): TestJob => $job->entry('inspected', ['key' => 'wire', 'finding' => 'fault']),
            'wire_sound',
            'damaged',
        ];
        yield 'taut straight ahead' => [
            static fn (TestJob $job): TestJob => $job->read(0, 0, 0),
            'not_taut',
            'bars straight',
        ];
        yield 'taut with the bars turned' => [
            static fn (TestJob $job): TestJob => $job->readIn(Pose::Right, 0, 0),
            'not_taut',
            'bars full right',
        ];
    }

    /** @param  callable(TestJob): TestJob  $spoil */
    #[DataProvider('failures')]
    public function test_a_failed_gate_says_where_and_blocks_the_signature(
        callable $spoil,
        string $gate,
        string $words,
    ): void {
        $job = $spoil(TestJob::throttle()->ready());
        self::assertSame('failed', self::gates($job)[$gate]);
        self::assertStringContainsString($words, implode(' ', $job->state->progress->blocksFit));
    }

    public function test_wear_that_was_only_noted_fails_no_gate(): void
    {
        $job = TestJob::throttle()->entry('inspected', ['key' => 'wire', 'finding' => 'noted', 'remark' => 'dry']);
        self::assertSame('passed', self::gates($job)['wire_sound']);
    }

    public function test_a_fault_beside_the_wire_fails_no_gate(): void
    {
        $job = TestJob::throttle()->entry(
            'inspected',
            ['key' => 'conduit', 'finding' => 'fault', 'remark' => 'kinked'],
        );
        self::assertNotContains('failed', self::gates($job));
    }

    public function test_a_move_makes_every_trial_due_again_and_looking_not(): void
    {
        $job = TestJob::throttle()
            ->ready()
            ->read(4, 4, 4)
            ->entry('check', ['key' => 'wire_in_groove', 'answer' => 'yes'])
            ->line('+1f', 'in_band');
        self::assertSame(
            ['unknown', 'passed', 'unknown'],
            [self::gates($job)['wire_in_groove'], self::gates($job)['wire_sound'], self::gates($job)['not_taut']],
        );
    }

    public function test_answered_again_the_later_answer_counts(): void
    {
        $job = TestJob::throttle()
            ->ready()
            ->entry('check', ['key' => 'wire_in_groove', 'answer' => 'no'])
            ->entry('check', ['key' => 'wire_in_groove', 'answer' => 'yes']);
        self::assertSame('passed', self::gates($job)['wire_in_groove']);
    }

    public function test_a_clutch_has_its_own(): void
    {
        self::assertSame(
            ['wire_sound', 'not_taut', 'arm_free', 'releases'],
            array_keys(self::gates(TestJob::clutch())),
        );
    }

    /** @return array<string, string> */
    private static function gates(TestJob $job): array
    {
        $gates = $job->state->judgement->gates;

        return array_combine(
            array_map(static fn (GateState $gate): string => $gate->gate->key->value, $gates),
            array_map(static fn (GateState $gate): string => $gate->status->value, $gates),
        );
    }
}
