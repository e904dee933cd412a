<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Carryover;
use VividPull\Core\Bench\Warnings;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\RatioFinding;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Tests\Support\TestJob;

/** An adjuster is turned, and the play does not follow: nothing is turned on and on. Common practice, no source. */
final class NotFollowingTest extends TestCase
{
    public function test_one_reading_that_cannot_be_believed_is_taken_once_more(): void
    {
        $job = self::loose()->line('+2t', 'in_band')->read(25);
        $next = $job->state->next();
        self::assertSame([PlanKind::Read, Pose::Straight], [$next->kind, $next->again]);
        self::assertSame(
            'It does not read as it should after that move. Read it once more before anything is turned: one reading may be misread.',
            $next->sentence,
        );
        self::assertSame(PlanKind::Move, $job->read(25)->state->next()->kind, 'once is no fault of the machine');
    }

    public function test_what_was_misread_once_is_turned_on_from(): void
    {
        $job = self::loose()->line('+1t', 'in_band')->read(2.5);
        $misread = $job->last();
        self::assertSame(PlanKind::Read, $job->state->next()->kind);
        $job->read(21)->entry('void', ['entry' => $misread, 'reason' => 'misread'])->read(20.5);
        self::assertSame([], $job->state->beliefs()->astray);
        self::assertSame(PlanKind::Move, $job->state->next()->kind);
    }

    public function test_two_moves_in_a_row_that_nothing_came_of_end_the_turning(): void
    {
        $job = self::loose()->line('+2t', 'in_band')->read(25, 25)->line('+2t', 'in_band')->read(25.5, 25);
        $next = $job->state->next();
        self::assertSame(PlanKind::Suspect, $next->kind);
        self::assertSame(
            'Two moves in a row were not followed by the play. Something slips or hangs: mark the lock nut and the ferrule with a pen, pull it fully three times, and see which mark has moved.',
            $next->sentence,
        );
        self::assertEquals(Suspect::ofNotFollowing(), $next->suspects);
        self::assertSame([[], null], [$next->options, $next->plan], 'no turn stands beside it');
    }

    public function test_two_moves_that_did_far_more_than_a_turn_does_are_as_odd(): void
    {
        $job = self::loose()->line('+1f', 'in_band')->read(7, 7)->line('-1f', 'in_band')->read(25, 25);
        self::assertCount(2, $job->state->beliefs()->astray);
        self::assertStringStartsWith(
            'Two moves in a row did not do what a turn does.',
            $job->state->next()->sentence,
        );
    }

    public function test_what_was_put_right_or_looked_for_in_vain_is_turned_on_from(): void
    {
        foreach (['put_right' => ['cure' => 'ferrule'], 'nothing_found' => []] as $kind => $body) {
            $job = self::loose()->line('+2t', 'in_band')->read(25, 25)->line('+2t', 'in_band')->read(25, 25);
            $job->entry($kind, $body)->read(25, 25);
            self::assertSame(PlanKind::Move, $job->state->next()->kind, $kind);
        }
    }

    public function test_two_moves_that_went_the_other_way_ask_which_way_it_was_turned(): void
    {
        $job = self::loose()->line('+1t', 'in_band')->read(29.5, 29.5)->line('+1t', 'in_band')->read(34, 34);
        self::assertSame(
            'Two moves in a row went the other way. See which adjuster was turned, and which way: if it was turned as shown, the spec of this control has its way wrong.',
            $job->state->next()->sentence,
        );
    }

    /** Little by little no single reading is beyond belief; together they say that turning does nothing. */
    public function test_turning_that_hardly_moves_it_is_no_ratio(): void
    {
        $drawn = ['kind' => 'lever', 'name' => 'Clutch lever', 'pivot_to_wire_mm' => 38,
            'pivot_to_point_mm' => ['lever_tip' => 132], 'knowledge' => 'drawn'];
        $job = TestJob::clutch(run: ['hand' => $drawn] + TestJob::clutchRun())->ready()->read(25.5, 25, 25.5);
        foreach (range(1, 6) as $turn) {
            $job->line('+3f', 'in_band')->read(25.5, 25, $turn % 2 === 0 ? 25.0 : 25.5);
        }
        $beliefs = $job->state->beliefs();
        self::assertSame([], $beliefs->surprises, 'no reading is beyond belief by itself');
        self::assertTrue($beliefs->play->hardlyFollows());
        $next = $job->state->next();
        self::assertSame(PlanKind::Suspect, $next->kind);
        self::assertStringStartsWith('Turning hardly moves the play. See which adjuster was turned.', $next->sentence);
        self::assertNull(
            RatioFinding::of($job->state->spec, $job->state->run, $beliefs),
            'nobody is to measure distances that are right',
        );
        self::assertSame([], Carryover::taught($job->state), 'the next job does not turn ten times as far');
        $job->entry('put_right', ['cure' => 'ferrule'])->read(25, 25, 25);
        $again = $job->state->next();
        self::assertSame(PlanKind::Move, $again->kind);
        self::assertLessThan(4.0, $again->options['perch']->steps?->toFloat(), 'nor is it, once that is put right');
    }

    /** The ratio of a lever may be entered wrong by two, and is unlearned as ever. */
    public function test_half_of_what_was_told_is_a_ratio(): void
    {
        $job = self::loose();
        foreach ([22.8, 20.6, 18.4] as $read) {
            $job->line('+1t', 'in_band')->read($read, $read, $read);
        }
        self::assertFalse($job->state->beliefs()->play->hardlyFollows());
        self::assertEqualsWithDelta(2.2 / 1.25, $job->state->beliefs()->play->ratio(), 0.1);
    }

    public function test_a_cable_that_stays_taut_is_not_given_slack_for_ever(): void
    {
        $job = TestJob::clutch(standing: TestJob::standing(['perch' => 8.0, 'bracket' => 8.0]))->ready()->read(0, 0);
        self::assertSame([], Warnings::of($job->line('-3t', 'in_band')->read(0, 0)->state));
        $job->line('-2t', 'in_band')->read(0, 0);
        self::assertSame(PlanKind::Move, $job->state->next()->kind, 'it may be no more than a setting');
        self::assertSame(
            ['6.3 mm of slack was given, and it still reads nothing: look for a ferrule or end half out of its seat, worn plates or lining, a wrong or short cable, or a part at the working end put together wrongly, before more is given.'],
            Warnings::of($job->state),
        );
        $job->line('-2t', 'in_band')->read(0, 0);
        $job->adjuster = 'bracket';
        $job->line('-5t', 'in_band')->read(0);
        self::assertSame(PlanKind::Read, $job->state->next()->kind, 'one reading blames nothing');
        $next = $job->read(0)->state->next();
        self::assertSame(PlanKind::Suspect, $next->kind);
        self::assertSame(
            '15.0 mm of slack was given, and it still reads nothing. No setting is so far off.',
            $next->sentence,
        );
        self::assertSame(
            ['a ferrule or end half out of its seat', 'worn plates or lining', 'a wrong or short cable'],
            array_slice(array_column($next->suspects, 'what'), 0, 3),
        );
        self::assertSame([], Warnings::of($job->state), 'it is said once');
        $job->entry('put_right', ['cure' => 'ferrule'])->read(0, 0);
        self::assertSame(PlanKind::Move, $job->state->next()->kind);
    }

    private static function loose(): TestJob
    {
        return TestJob::clutch()->ready()->read(25.5, 25, 25.5);
    }
}
