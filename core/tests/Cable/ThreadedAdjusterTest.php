<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Cable;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\AdjusterAccess;
use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Fitting;
use VividPull\Core\Cable\Rotation;
use VividPull\Core\Cable\Sense;
use VividPull\Core\Cable\ThreadedAdjuster;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\ThreadPitch;

final class ThreadedAdjusterTest extends TestCase
{
    public function test_out_takes_slack_away_by_the_pitch_a_turn(): void
    {
        self::assertEqualsWithDelta(-1.25, self::barrel()->slackGiven(Steps::of(1)), 1e-12);
        self::assertEqualsWithDelta(1.25 / 6, self::barrel()->slackGiven(Steps::fromFlats(-1)), 1e-12);
    }

    public function test_the_other_sense_gives_it(): void
    {
        self::assertEqualsWithDelta(1.25, self::barrel(Sense::OutGivesSlack)->slackGiven(Steps::of(1)), 1e-12);
    }

    public function test_the_thread_grows_by_a_sixth_of_its_pitch_a_flat(): void
    {
        $barrel = self::barrel();
        self::assertEqualsWithDelta(1.25 / 6, $barrel->showing(Steps::fromFlats(1)), 1e-12);
        self::assertSame(Steps::of(2, 3)->count, $barrel->positionShowing(2.5 * 1.25)->count);
    }

    public function test_it_is_healthy_up_to_half_out(): void
    {
        // Act from half: common practice, no source.
        $barrel = self::barrel();
        self::assertTrue($barrel->healthy()->contains(Steps::exactly(4.4)));
        self::assertFalse($barrel->healthy()->contains(Steps::of(5)));
    }

    public function test_clockwise_means_something_only_with_the_side_it_is_seen_from(): void
    {
        self::assertSame(Rotation::Anticlockwise, AdjusterKind::Barrel->rotationOut());
        self::assertSame(Rotation::Clockwise, AdjusterKind::BracketNuts->rotationOut());
        foreach (AdjusterKind::cases() as $kind) {
            self::assertSame($kind->rotationOut() !== null, $kind->seenFrom() !== '', $kind->label());
        }
        self::assertSame(Rotation::Clockwise, Rotation::Anticlockwise->opposite());
    }

    public function test_travel_is_above_zero(): void
    {
        $this->expectException(OutOfRange::class);
        self::barrel(travel: 0.0);
    }

    private static function barrel(Sense $sense = Sense::OutTakesSlack, float $travel = 11.0): ThreadedAdjuster
    {
        $fitting = new Fitting(
            'perch',
            'perch barrel',
            AdjusterKind::Barrel,
            $sense,
            Steps::fromFlats(1),
            AdjusterAccess::of(0.0, null, 'by hand'),
            'lock ring',
            null,
        );

        return ThreadedAdjuster::of($fitting, ThreadPitch::fromName('M8'), $travel, null);
    }
}
