<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Planning\AdviceKind;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Tests\Support\TestJob;

/** A cable that was found taut: slack first, then a reading. */
final class SlackeningTest extends TestCase
{
    public function test_it_gives_what_would_bring_a_just_taut_cable_to_the_target(): void
    {
        $options = TestJob::clutch(standing: TestJob::standing(['perch' => 6.0, 'bracket' => 6.0]))
            ->ready()
            ->read(0, 0, 0)->state
            ->next()->options;
        // 15 mm at 3.4737 × 1.25 mm a turn: 3.45 turns, so 3 turns and 3 flats in.
        self::assertSame(AdviceKind::GiveSlack, $options['perch']->kind);
        self::assertSame(-Steps::of(3, 3)->count, $options['perch']->steps?->count);
        self::assertNull($options['perch']->expected, 'a taut cable says nothing about how taut it is');
    }

    public function test_it_gives_no_more_than_the_thread_has(): void
    {
        $options = TestJob::clutch(standing: TestJob::standing(['perch' => 2.0, 'bracket' => 6.0]))
            ->ready()
            ->read(0, 0, 0)->state
            ->next()->options;
        self::assertSame(-Steps::of(2)->count, $options['perch']->steps?->count);
        self::assertSame('0.0 mm of thread', $options['perch']->roomLeft);
    }

    public function test_one_turn_at_most_where_the_position_is_unknown(): void
    {
        $job = TestJob::clutch(standing: TestJob::standing(['perch' => null, 'bracket' => null]));
        while (($item = $job->state->progress->asks()) !== null && $item->key !== 'thread:perch') {
            $job->line($item->key === 'condition' ? 'cold' : 'ok');
        }
        self::assertSame(-Steps::PER_TURN, $job->read(0, 0, 0)->state->next()->options['perch']->steps?->count);
    }

    public function test_with_no_thread_left_to_give_it_says_so(): void
    {
        $next = TestJob::clutch(standing: TestJob::standing(['perch' => 0.0, 'bracket' => 0.0]))
            ->ready()
            ->read(0, 0, 0)->state
            ->next();
        self::assertSame(PlanKind::OutOfThread, $next->kind);
        self::assertStringContainsString('no thread left to give slack with', $next->sentence);
    }

    public function test_after_it_the_bench_goes_on_as_ever(): void
    {
        $job = TestJob::clutch(standing: TestJob::standing(['perch' => 6.0, 'bracket' => 6.0]))
            ->ready()
            ->read(0, 0, 0)
            ->line('-3t3f', 'in_band')
            ->read(9, 9, 9.5);
        self::assertSame(PlanKind::Move, $job->state->next()->kind);
        self::assertLessThan(0, $job->state->next()->options['perch']->steps?->count);
        self::assertSame(
            'inside',
            $job->line('-1t2f', 'in_band')->read(14.5, 15, 14.5)->state->judgement->now->kind->value,
        );
    }
}
