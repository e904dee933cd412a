<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Facts;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Tests\Support\TestJob;

/** Readings at another point than the spec's: the geometry is 132 to 31 mm, so a tip reading is 4.258 times the gap. */
final class ReadingConversionTest extends TestCase
{
    public function test_a_gap_reading_is_turned_into_a_tip_reading_and_marked(): void
    {
        $job = self::read(TestJob::clutch()->ready(), 'perch_gap', 3.5, 3.5, 3.5);
        $now = $job->state->judgement->nowGroup;
        self::assertEqualsWithDelta(3.5 * 132 / 31, $now?->found->mean, 1e-9);
        self::assertSame('lever/perch gap', $now?->convertedFrom?->label());
        self::assertStringContainsString('converted from the lever/perch gap', $job->state->judgement->now->sentence);
    }

    public function test_it_is_less_sure_than_a_reading_at_the_point_itself(): void
    {
        $job = self::read(TestJob::clutch()->ready(), 'perch_gap', 3.5, 3.5, 3.5);
        $found = $job->state->judgement->nowGroup?->found;
        self::assertNotNull($found);
        // Two measured distances to the wire, 10 % each (ours), beside what the reading has by itself.
        $plain = TestJob::clutch()->ready()->read(3.5, 3.5, 3.5)->state->judgement->nowGroup?->found;
        self::assertNotNull($plain);
        $factor = 132 / 31;
        self::assertEqualsWithDelta(
            hypot($factor * $plain->standard(), 3.5 * $factor * hypot(0.1, 0.1)),
            $found->standard(),
            1e-9,
        );
        self::assertEqualsWithDelta(
            $factor * $plain->standardOfDifference(),
            $found->standardOfDifference(),
            1e-9,
            'what all converted readings share cancels in a difference',
        );
        self::assertLessThan(
            0.99,
            $job->state->judgement->now->chanceInside,
            'as well in the middle as can be, and still not certain',
        );
    }

    public function test_two_points_read_in_one_state_give_their_ratio(): void
    {
        $job = TestJob::clutch()->ready()->read(16, 16, 16);
        self::read($job, 'perch_gap', 4, 4, 4);
        $job->line('+1t', 'in_band');
        self::read($job, 'perch_gap', 3, 3, 3);
        // 16 to 4 was read, so the drawing's 4.258 no longer counts.
        self::assertEqualsWithDelta(12.0, $job->state->judgement->nowGroup?->found->mean, 1e-9);
        self::assertLessThan(3 * 4.258 * 0.14, $job->state->judgement->nowGroup?->found->calibration);
    }

    public function test_converted_readings_teach_how_far_a_turn_goes(): void
    {
        $job = self::read(TestJob::clutch()->ready(), 'perch_gap', 6, 6, 6);
        self::assertTrue($job->state->beliefs()->play->isPlaced());
        $job->line('+1t', 'in_band');
        self::assertTrue(self::read($job, 'perch_gap', 5, 5, 5)->state->beliefs()->play->hasLearned());
    }

    public function test_where_no_geometry_joins_the_points_it_is_not_judged(): void
    {
        $run = ['hand' => ['kind' => 'lever', 'name' => 'Clutch lever']] + TestJob::clutchRun();
        $job = self::read(TestJob::clutch(run: $run)->ready(), 'ferrule_gap', 4, 4, 4);
        self::assertSame('not_judged', $job->state->judgement->now->kind->value);
        self::assertStringContainsString(
            'read at the ferrule gap; the figure is for the lever tip',
            $job->state->judgement->now->sentence,
        );
    }

    private static function read(TestJob $job, string $point, float ...$values): TestJob
    {
        foreach ($values as $mm) {
            $job->entry(
                'reading',
                ['mm' => $mm, 'entered' => (string) $mm, 'point' => $point, 'engine' => 'cold', 'instrument' => 'rule'],
            );
        }

        return $job;
    }
}
