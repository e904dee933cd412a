<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Facts;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\StateCodec;

final class ConcurrentMovesTest extends TestCase
{
    public function test_a_reading_whose_author_had_not_seen_anothers_move_is_not_judged(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $seen = $job->last();
        $job->as(TestJob::oda())->line('+1t', 'in_band');
        $job->person = TestJob::ines();
        $job->entry('reading', self::reading(25.0), $seen);
        self::assertTrue($job->state->judgement->now->is(VerdictKind::NotJudged));
        self::assertFalse($job->state->beliefs->play->hasLearned(), 'nothing is learned from the pair');
        self::assertSame([], $job->state->beliefs->surprises);
        self::assertContains('Two people moved this cable: read it again.', StateCodec::encode($job->state)['warnings']);
    }

    public function test_a_late_reading_of_someone_who_had_seen_everything_counts(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5)->as(TestJob::oda())->line('+1t', 'in_band');
        $seen = $job->last();
        $job->person = TestJob::ines();
        $job->line('n bars bumped')->entry('reading', self::reading(21.0), $seen);
        self::assertTrue($job->state->judgement->now->is(VerdictKind::TooLoose));
    }

    public function test_who_saw_everything_goes_on_learning_beside_a_reading_that_crossed(): void
    {
        $job = TestJob::clutch()->ready()->as(TestJob::oda())->read(25.5, 25, 25.5);
        $seen = $job->last();
        $job->line('+1t', 'in_band');
        $job->person = TestJob::ines();
        $job->entry('reading', self::reading(25.0), $seen);
        $job->person = TestJob::oda();
        $job->read(21, 21, 21);
        self::assertTrue($job->state->beliefs->play->hasLearned());
        self::assertSame([], $job->state->beliefs->surprises);
    }

    public function test_ones_own_moves_never_cross(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $seen = $job->last();
        $job->line('+1t', 'in_band')->entry('reading', self::reading(21.0), $seen);
        self::assertFalse($job->state->judgement->nowGroup?->crossed);
    }

    public function test_a_move_across_anothers_move_asks_for_a_reading(): void
    {
        $job = TestJob::clutch()->ready()->read(25.5, 25, 25.5);
        $seen = $job->last();
        $job->as(TestJob::oda())->line('+1t', 'in_band');
        $job->person = TestJob::ines();
        $job->entry('move', ['adjuster' => 'perch', 'turns' => 1], $seen);
        self::assertSame('Two people moved this cable: read it again', $job->state->judgement->now->sentence);
        self::assertEqualsWithDelta(4.0, $job->state->facts->adjusters->positions['perch']?->toFloat(), 1e-9, 'both moves happened');
    }

    /** @return array<string, mixed> */
    private static function reading(float $mm): array
    {
        return ['mm' => $mm, 'entered' => (string) $mm, 'point' => 'lever_tip', 'engine' => 'cold', 'wheels' => 'on_ground', 'instrument' => 'rule'];
    }
}
