<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Spec;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Planning\Planner;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\ClosingRecord;
use VividPull\Core\Wire\LogRows;

/** How the rider wants it: inside the band, of the machine, aimed for now and next time. */
final class RidersWishTest extends TestCase
{
    public function test_what_is_wished_is_aimed_for_at_once(): void
    {
        $job = TestJob::clutch()->ready()->read(25.0, 25.0, 25.0);
        self::assertSame(15.0, self::target($job), 'the middle, as the spec has it');
        $job->entry('policy', ['wish' => ['play_mm' => 18, 'said' => 'thick gloves']]);
        self::assertSame(18.0, self::target($job));
        $rows = LogRows::of($job->state);
        self::assertSame("Rider's wish: 18.0 mm: thick gloves", $rows[count($rows) - 1]['what']);
        self::assertSame('18.0 mm: thick gloves', ClosingRecord::of($job->state)['wish']);
    }

    public function test_the_next_job_begins_with_it_and_a_person_may_aim_elsewhere_or_drop_it(): void
    {
        $job = TestJob::clutch([], [], ['wish' => ['play_mm' => 12]])->ready()->read(25.0, 25.0, 25.0);
        self::assertSame(12.0, self::target($job));
        $job->line('aim loose', 'in_band');
        self::assertGreaterThan(15.0, self::target($job), 'chosen for this job');
        $job->entry('policy', ['wish' => ['play_mm' => 12]]);
        self::assertSame(12.0, self::target($job));
        $job->entry('policy', ['wish' => []]);
        self::assertSame(15.0, self::target($job));
        self::assertNull($job->state->facts->chosen->wish);
    }

    public function test_a_wish_outside_the_band_is_refused_and_one_of_an_older_book_is_not_aimed_for(): void
    {
        self::assertStringContainsString(
            'lies outside the band',
            TestJob::clutch()->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'policy',
                ['wish' => ['play_mm' => 25]],
            )),
        );
        self::assertSame(
            15.0,
            self::target(TestJob::clutch([], [], ['wish' => ['play_mm' => 25]])),
            'the book has changed since',
        );
    }

    public function test_an_early_bite_that_is_wished_passes_and_one_that_is_not_asks_for_a_move(): void
    {
        $job = self::atTheBite()->line('early', 'check:bite');
        self::assertTrue($job->state->progress->item('check:bite')?->failed);
        $wished = self::atTheBite()->entry('policy', ['wish' => ['bite' => 'early']])->line('early', 'check:bite');
        self::assertFalse($wished->state->progress->item('check:bite')?->failed);
        self::assertTrue($wished->state->progress->item('check:bite')->done);
        self::assertTrue(
            self::atTheBite()
                ->entry('policy', ['wish' => ['bite' => 'early']])
                ->line('late', 'check:bite')->state->progress
                ->item('check:bite')?->failed,
            'the other way is not what was wished',
        );
    }

    public function test_no_proof_of_safety_is_a_matter_of_taste(): void
    {
        $job = self::atTheBite()->entry('policy', ['wish' => ['bite' => 'early']])->line('slips', 'check:no_slip');
        self::assertTrue($job->state->progress->item('check:no_slip')?->failed);
        self::assertStringContainsString(
            'nothing that can be wished',
            TestJob::clutch()->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'policy',
                ['wish' => ['bite' => 'slips']],
            )),
        );
        self::assertStringContainsString(
            'nothing that can be wished',
            TestJob::throttle()->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'policy',
                ['wish' => ['bite' => 'early']],
            )),
        );
    }

    private static function target(TestJob $job): ?float
    {
        return Planner::target($job->state->spec, $job->state->facts, $job->state->spec->play()->band);
    }

    private static function atTheBite(): TestJob
    {
        $job = TestJob::clutch()
            ->ready()
            ->read(15.0, 15.0, 15.0)
            ->line('yes', 'check:arm_loose')
            ->line('yes', 'check:wiggle_still');

        return $job->refit()->line('yes', 'check:no_creep')->line('holds', 'check:no_slip');
    }
}
