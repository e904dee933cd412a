<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Trace;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Trace\PullStory;
use VividPull\Core\Trace\Reached;
use VividPull\Core\Trace\TraceSummary;

/** What pulls tell from job to job. */
final class PullStoryTest extends TestCase
{
    public function test_one_pull_is_no_story(): void
    {
        self::assertNull(PullStory::of([self::pull(0.8)]));
        self::assertNull(PullStory::of([self::pull(null), self::pull(0.8)]));
    }

    public function test_a_cable_that_runs_dry_is_told_with_each_share(): void
    {
        self::assertSame(
            'Friction takes more of each pull: 16 %, 20 %, 25 %. The cable runs dry, or it frays: oil it, and pull it again.',
            PullStory::of([self::pull(0.84), self::pull(0.8), self::pull(0.75)]),
        );
    }

    public function test_a_cable_that_was_oiled_and_one_that_stays_as_it_is(): void
    {
        self::assertSame(
            'Friction takes less than it did: 25 %, 15 %. It pulls with 50 N at most, and did with 60 N.',
            PullStory::of([self::pull(0.75), self::pull(0.85, 50.0)]),
        );
        self::assertSame(
            'Friction takes the same of each pull: 15 %, 17 %.',
            PullStory::of([self::pull(0.85), self::pull(0.83)]),
        );
    }

    private static function pull(?float $efficiency, float $heaviest = 60.0): TraceSummary
    {
        return new TraceSummary(9.0, 0.2, $heaviest, 50.0, $efficiency, Reached::Yes, 0);
    }
}
