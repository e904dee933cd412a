<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Warnings;
use VividPull\Core\Family\SlidingDrive;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\TableAdviceKind;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Tests\Support\TestJob;

/** An adjuster that will not turn, or that is only marked with a pen. */
final class SeizedTest extends TestCase
{
    public function test_nothing_is_planned_with_one_that_will_not_turn(): void
    {
        $job = TestJob::clutch()->ready()->read(26.0, 26.0, 26.0);
        self::assertSame('perch', $job->state->next()->recommended, 'the one in reach, while nobody knows better');
        $job->line('seized', 'in_band');
        $next = $job->state->next();
        self::assertSame([PlanKind::Move, 'bracket'], [$next->kind, $next->recommended]);
        self::assertStringContainsString('will not turn', $next->options['perch']->sentence ?? '');
        self::assertStringContainsString('hold the wire', implode(' ', Warnings::of($job->state)));
    }

    public function test_with_every_adjuster_seized_they_are_freed_before_a_part_is_blamed(): void
    {
        $job = TestJob::clutch()->ready()->read(26.0, 26.0, 26.0);
        foreach (['perch', 'bracket'] as $id) {
            $job->entry('thread', ['adjuster' => $id, 'seized' => true]);
        }
        $next = $job->state->next();
        self::assertSame(PlanKind::OutOfThread, $next->kind);
        self::assertStringContainsString('Free it, and say so', $next->sentence);
        self::assertStringNotContainsString('Suspect', $next->sentence);
    }

    public function test_taut_and_seized_is_freed_first_too(): void
    {
        $job = TestJob::clutch()->ready()->read(0.0, 0.0, 0.0);
        foreach (['perch', 'bracket'] as $id) {
            $job->entry('thread', ['adjuster' => $id, 'seized' => true]);
        }
        self::assertStringContainsString('Free it, and say so', $job->state->next()->sentence);
        self::assertStringNotContainsString('worn plates', $job->state->next()->sentence);
    }

    /** @return iterable<string, array{callable(TestJob): mixed}> */
    public static function freed(): iterable
    {
        yield 'said to be freed' => [static fn (TestJob $job): TestJob => $job->entry(
            'put_right',
            ['cure' => Cure::Freed->value],
        )];
        yield 'turned after all' => [static fn (TestJob $job): TestJob => $job->line('+1f', 'in_band')];
    }

    /** @param  callable(TestJob): mixed  $free */
    #[DataProvider('freed')]
    public function test_freed_it_is_planned_with_again(callable $free): void
    {
        $job = TestJob::clutch()->ready()->read(26.0, 26.0, 26.0)->line('seized', 'in_band');
        $free($job);
        self::assertSame([], $job->state->facts->adjusters->seized);
        $job->read(26.0, 26.0, 26.0);
        self::assertArrayHasKey('perch', $job->state->next()->options);
        self::assertStringNotContainsString('will not turn', $job->state->next()->options['perch']->sentence);
    }

    public function test_where_it_stood_stays_known(): void
    {
        $job = TestJob::clutch()->ready()->line('seized', 'in_band');
        self::assertEquals(
            $job->state->facts->adjusters->home['perch'],
            $job->state->facts->adjusters->positions['perch'],
        );
    }

    public function test_seized_when_its_thread_was_asked_it_is_asked_again_once_it_turns(): void
    {
        $job = TestJob::clutch()->entry('thread', ['adjuster' => 'perch', 'seized' => true]);
        self::assertSame('It will not turn', $job->state->progress->item('thread:perch')?->said);
        $job->entry('put_right', ['cure' => Cure::Freed->value]);
        self::assertFalse($job->state->progress->item('thread:perch')->done);
    }

    public function test_a_mower_with_its_clamp_seized_is_freed_before_anything_is_suspected(): void
    {
        $setting = SlidingDrive::table('rungs')->settings['drive'];
        $job = TestJob::table(
            'sliding_drive',
            OutcomeTable::of(
                'conduit',
                'rung',
                'towards more drive',
                'towards less drive',
                [$setting],
                [Mover::of('bracket', 1.0, 1, 0.0)],
                1.0,
                2.0,
            ),
        );
        $job
            ->entry('outcome', ['setting' => 'drive', 'saw' => 'slow'])
            ->entry('thread', ['adjuster' => 'bracket', 'seized' => true]);
        $advice = TablePlanner::advise(
            $job->state->spec,
            $job->state->judgement->table ?? self::fail('no table'),
            $job->state->run,
            $job->state->facts,
        );
        self::assertSame(TableAdviceKind::OutOfReach, $advice->kind);
        self::assertStringContainsString('Free it, and say so', $advice->sentence);
        self::assertStringNotContainsString('Suspect', $advice->sentence);
    }

    public function test_what_is_marked_with_a_pen_is_turned_back_by_its_count(): void
    {
        $job = TestJob::clutch();
        foreach (['perch', 'bracket'] as $id) {
            $job->entry('thread', ['adjuster' => $id, 'marked' => true]);
        }
        self::assertSame('Marked with a pen, not counted', $job->state->progress->item('thread:perch')?->said);
        self::assertNull($job->state->facts->adjusters->positions['perch']);
        $job->line('+2f', 'in_band')->line('-5f', 'in_band');
        self::assertSame(
            3 * 120,
            $job->state->wayHome()['perch']?->count,
            'counted, though nobody knows where it stood',
        );
        $job->entry('move', ['adjuster' => 'perch', 'uncounted' => true]);
        self::assertNull($job->state->wayHome()['perch'], 'one turn that nobody counted, and only the mark tells');
    }
}
