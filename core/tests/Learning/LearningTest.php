<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Learning;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Tests\Support\TestJob;

final class LearningTest extends TestCase
{
    public function test_a_move_and_a_reading_teach_this_machine(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $before = $job->state->beliefs()->play->ratio();
        $job->line('+1t')->read(21, 21, 20.5);
        self::assertTrue($job->state->beliefs()->play->hasLearned());
        // 25.333 − 20.833 = 4.5 mm for 1.25 mm of conduit: 3.6, drawn a little towards the measured 3.47.
        self::assertGreaterThan($before, $job->state->beliefs()->play->ratio());
        self::assertEqualsWithDelta(3.6, $job->state->beliefs()->play->ratio(), 0.12);
    }

    public function test_turned_the_wrong_way_it_says_so_and_learns_nothing(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5)->line('+1t')->read(29.5);
        self::assertCount(1, $job->state->beliefs()->surprises);
        self::assertFalse($job->state->beliefs()->play->hasLearned());
        self::assertEqualsWithDelta(29.5, $job->state->beliefs()->play->expected(0.0), 1e-9);
    }

    public function test_a_taut_reading_does_not_teach_and_slack_is_given_first(): void
    {
        $job = TestJob::clutch()->ready()->read(0, 0, 0);
        self::assertFalse($job->state->beliefs()->play->isPlaced());
        $next = $job->state->next();
        $advice = $next->options[$next->recommended ?? ''];
        self::assertLessThan(0, $advice->steps?->count, 'in gives slack');
        self::assertStringContainsString('give slack first', $advice->sentence);
    }

    public function test_a_move_that_went_taut_is_given_back_and_not_tried_over(): void
    {
        // From 12 mm, 2 turns out: a ratio of 4.8 or more went taut, against 3.5 drawn with k = 0.3.
        $job = TestJob::clutch(run: ['hand' => ['kind' => 'lever', 'name' => 'Clutch lever', 'pivot_to_wire_mm' => 38,
            'pivot_to_point_mm' => ['lever_tip' => 132],
            'knowledge' => 'drawn']] + TestJob::clutchRun())->ready()->read(12, 12, 12);
        $before = $job->state->beliefs()->play->ratio();
        $job->line('+2t', 'in_band')->read(0, 0, 0);
        self::assertSame([], $job->state->beliefs()->surprises);
        self::assertGreaterThan(1.25 * $before, $job->state->beliefs()->play->ratio());
        self::assertLessThan(1.0, $job->state->beliefs()->play->expected(0.0));
        $next = $job->state->next();
        self::assertLessThanOrEqual(
            -1.5,
            $next->options['perch']->steps?->toFloat(),
            'most of what was taken is given back',
        );
    }

    public function test_going_taut_where_nothing_lets_it_is_a_surprise(): void
    {
        $job = TestJob::clutch()->ready()->read(25, 25, 25)->line('+1f', 'in_band')->read(0, 0, 0);
        self::assertCount(1, $job->state->beliefs()->surprises);
        self::assertFalse($job->state->beliefs()->play->isPlaced());
    }

    public function test_an_uncounted_move_breaks_the_comparison_and_keeps_the_ratio(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5)->line('+1t')->read(21, 21, 20.5);
        $ratio = $job->state->beliefs()->play->ratio();
        $job->entry('move', ['adjuster' => 'perch', 'uncounted' => true])->read(16, 16, 16);
        self::assertSame([], $job->state->beliefs()->surprises);
        self::assertEqualsWithDelta($ratio, $job->state->beliefs()->play->ratio(), 0.05);
        self::assertEqualsWithDelta(16.0, $job->state->beliefs()->play->expected(0.0), 1e-9);
    }

    public function test_readings_in_another_state_do_not_teach(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5)->line('hot', 'condition')->read(27, 27);
        self::assertSame(1, $job->state->beliefs()->groupsUsed);
    }

    public function test_what_the_last_job_taught_is_where_this_one_begins(): void
    {
        $job = TestJob::clutch(
            standing: ['taught' => ['lever_tip' => ['ln_ratio' => log(4.0), 'spread' => 0.07]]] + TestJob::standing(),
        )
            ->ready()
            ->read(25);
        // Of three machines in a hundred the ratio is known to 0.7 in ln R only: E[R] of a log-normal is e^(m + k²/2).
        self::assertEqualsWithDelta(
            4.0 * (0.97 * exp(0.07 ** 2 / 2) + 0.03 * exp(0.7 ** 2 / 2)),
            $job->state->beliefs()->play->ratio(),
            2e-3,
        );
    }
}
