<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Progress;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Family\Families;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Tests\Support\WellDone;

/**
 * A lock turns what it locks, also where nobody moved that: somebody finds a nut loose and tightens it. Common
 * practice, no source.
 */
final class LockedUnmovedTest extends TestCase
{
    /** @return iterable<string, array{TestJob}> */
    public static function jobs(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            $job = FamilyJob::of($key);
            if ($job->state->spec->aim !== null) {
                yield $key->value => [$job];
            }
        }
        // A bail whose book has a figure of play, which no gate of its own holds.
        yield 'a bail with play' => [TestJob::of(
            [
                'family' => 'bail',
                'aim' => ['kind' => 'free_play_band', 'point' => 'handle_travel', 'low_mm' => 5, 'high_mm' => 15],
            ],
            [
                'hand' => ['kind' => Families::of(FamilyKey::Bail)->starting()->hand->value, 'name' => 'Bail'],
                'cables' => [[
                    'id' => 'cable',
                    'name' => 'Cable',
                    'adjusters' => [[
                        'id' => 'barrel',
                        'name' => 'barrel',
                        'kind' => 'barrel',
                        'thread' => 'M8 x 1.25',
                        'travel_mm' => 10,
                    ]],
                ]],
                'working_end' => Families::of(FamilyKey::Bail)->starting()->workingEnd,
            ],
            ['barrel' => 3.0],
        )];
    }

    #[DataProvider('jobs')]
    public function test_it_is_read_again_before_it_is_signed(TestJob $job): void
    {
        $job->as(TestJob::oda());
        WellDone::upToTheSignature($job, '10');
        self::assertSame([], $job->state->progress->blocks(ClosingOutcome::Fit));
        self::assertSame([], $job->state->facts->readings->moves, 'nothing was moved');
        $job->entry('confirmed', ['key' => 'locked', 'adjuster' => 'barrel']);
        self::assertFalse($job->state->progress->item('reading:left')?->done);
        self::assertNotSame([], $job->state->progress->blocks(ClosingOutcome::Fit), 'nobody has read it since');
        self::assertContains('reading:left', WellDone::upToTheSignature($job, '10'));
        self::assertSame([], $job->state->progress->blocks(ClosingOutcome::Fit), 'and read again it may be signed');
    }

    #[DataProvider('jobs')]
    public function test_what_the_lock_spoiled_is_set_again(TestJob $job): void
    {
        $job->as(TestJob::oda());
        WellDone::upToTheSignature($job, '10');
        $job->entry('confirmed', ['key' => 'locked', 'adjuster' => 'barrel']);
        $job->entry('condition', ['engine' => 'cold']);
        foreach (['2.5', '2.5', '2.5'] as $read) {
            $job->line($read, 'reading:left');
        }
        self::assertSame('in_band', $job->state->progress->asks()?->key, 'outside after the lock');
        self::assertNotSame([], $job->state->progress->blocks(ClosingOutcome::Fit));
    }
}
