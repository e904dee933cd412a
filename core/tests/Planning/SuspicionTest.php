<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Judging\Settles;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\SettledBy;
use VividPull\Core\Planning\Swinging;
use VividPull\Core\Tests\Support\TestJob;

/** What is said after turning to and fro, and which turns count as that. */
final class SuspicionTest extends TestCase
{
    private const DRAWN_LEVER = [
        'kind' => 'lever',
        'name' => 'Clutch lever',
        'pivot_to_wire_mm' => 38,
        'pivot_to_point_mm' => ['lever_tip' => 132],
        'knowledge' => 'drawn',
    ];

    private const ONLY_A_RULE = [
        'shelf' => [['id' => 'rule', 'name' => 'steel rule', 'kind' => 'steel_rule', 'resolution_mm' => 0.5]],
    ];

    public function test_a_grip_has_radii_to_measure_and_a_lever_two_distances(): void
    {
        $grip = self::swung(TestJob::throttle()->ready(), 'grip', 8.0)->read(8.0, 8.0, 8.0)->state->next();
        self::assertSame(PlanKind::Suspect, $grip->kind);
        self::assertStringEndsWith(
            'Measure the two radii of the grip, of its drum and of its flange: they tell what one turn does.',
            $grip->sentence,
        );
        self::assertSame(
            [[], null, null],
            [$grip->options, $grip->recommended, $grip->plan],
            'who is to look finds no turn beside it',
        );

        $job = TestJob::clutch(run: ['hand' => self::DRAWN_LEVER] + TestJob::clutchRun())->ready();
        $lever = self::swung($job, 'perch', 28.0)
            ->read(28.0, 28.0, 28.0)->state
            ->next();
        self::assertStringEndsWith(
            'Measure the two distances of the lever, pivot to wire and pivot to reading point: they tell what one turn does.',
            $lever->sentence,
        );
    }

    /** A rule that led to turning to and fro blames no cable: a finer instrument settles it, and turning goes on. */
    public function test_readings_too_coarse_for_the_band_are_taken_with_a_finer_instrument(): void
    {
        $narrow = ['aim' => ['kind' => 'free_play_band', 'point' => 'lever_tip', 'low_mm' => 2.0, 'high_mm' => 3.0]];
        $job = TestJob::clutch($narrow, ['hand' => self::DRAWN_LEVER] + TestJob::clutchRun())->ready();
        $job->adjuster = 'perch';
        $job->read(4.5, 4.0, 4.5);
        foreach (['-1f', '+1f', '-1f'] as $turn) {
            $job->line($turn, 'in_band')->read(4.5, 4.0, 4.5);
        }
        $next = $job->state->next();
        self::assertSame([PlanKind::Suspect, SettledBy::Finer], [$next->kind, $next->settledBy]);
        self::assertStringContainsString('read it with a finer instrument before anything is turned', $next->sentence);
        self::assertFalse($next->isLookedFor());
        self::assertStringStartsWith(
            'The bench names nothing to be looked at now.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry('nothing_found', [])),
        );
        $job->instrument = 'caliper';
        $job->read(4.3, 4.3, 4.25);
        self::assertSame(PlanKind::Move, $job->state->next()->kind);
        self::assertSame(0, Swinging::of($job->state->run, $job->state->facts)->reversals());
        $job->instrument = 'rule';
        $job->read(4.5, 4.0, 4.5);
        self::assertSame(2, Swinging::of($job->state->run, $job->state->facts)->reversals(), 'the rule is back');
    }

    public function test_where_nothing_finer_is_at_hand_no_cable_is_blamed_for_coarse_readings(): void
    {
        $narrow = ['aim' => ['kind' => 'free_play_band', 'point' => 'lever_tip', 'low_mm' => 2.0, 'high_mm' => 3.0]];
        $job = TestJob::clutch($narrow, standing: self::ONLY_A_RULE)->ready();
        $job->adjuster = 'perch';
        foreach ([false, true] as $isLookedAt) {
            $job->read(4.5, 4.0, 4.5);
            foreach (['-1f', '+1f', '-1f'] as $turn) {
                $job->line($turn, 'in_band')->read(4.5, 4.0, 4.5);
            }
            $next = $job->state->next();
            self::assertSame(PlanKind::Suspect, $next->kind);
            self::assertStringContainsString('Look for play that changes by itself', $next->sentence);
            self::assertSame(
                $isLookedAt,
                str_ends_with($next->sentence, 'get a finer instrument, or hang the tag.'),
                $next->sentence,
            );
            self::assertFalse($next->isLookedAt, 'no cable is replaced for it');
            $job = $isLookedAt ? $job : $job->entry('nothing_found', []);
        }
    }

    public function test_who_turned_to_and_fro_is_not_told_to_turn_because_nobody_can_tell(): void
    {
        $narrow = ['aim' => ['kind' => 'free_play_band', 'point' => 'lever_tip', 'low_mm' => 2.0, 'high_mm' => 3.0]];
        $job = TestJob::clutch($narrow, standing: self::ONLY_A_RULE)->ready();
        $job->adjuster = 'perch';
        $job->read(4.5, 4.5, 4.5);
        foreach (['-1f', '+1f'] as $turn) {
            $job->line($turn, 'in_band')->read(4.5, 4.5, 4.5);
        }
        $job->line('-1f', 'in_band')->read(3.0, 3.0, 3.0);
        self::assertSame(Settles::Nothing, $job->state->judgement->now->settles, 'the rule can say no more');
        self::assertFalse($job->state->judgement->now->mayBeLeft());
        $next = $job->state->next();
        self::assertSame(PlanKind::Suspect, $next->kind, $next->sentence);
        self::assertSame([[], null, null], [$next->options, $next->recommended, $next->plan]);
    }

    public function test_what_settles_it_is_said_beside_the_sentence(): void
    {
        $grip = self::swung(TestJob::throttle()->ready(), 'grip', 8.0);
        self::assertSame(SettledBy::Hand, $grip->read(8.0, 8.0, 8.0)->state->next()->settledBy);
        self::assertFalse(
            $grip->entry('nothing_found', [])->state->next()->isLookedAt,
            'the route was not what was looked at',
        );
        $again = self::swung($grip, 'grip', 8.0)->read(8.0, 8.0, 8.0)->state->next();
        self::assertSame([SettledBy::Hand, false], [$again->settledBy, $again->isLookedAt], 'measured before replaced');
        $apart = TestJob::throttle()->ready()->read(4.0, 4.0, 4.0)->readIn(Pose::Left, 9.0, 9.0)->state->next();
        self::assertSame([PlanKind::RoutingFault, SettledBy::Route], [$apart->kind, $apart->settledBy]);
    }

    public function test_where_the_bars_move_play_by_most_of_the_band_it_is_the_route_that_is_looked_at(): void
    {
        $job = TestJob::throttle()->ready();
        $job->instrument = 'caliper';
        $next = self::swung($job, 'grip', 4.5)
            ->read(4.5, 4.55, 4.5)
            ->readIn(Pose::Left, 6.9, 6.85, 6.9)
            ->readIn(Pose::Right, 3.5, 3.5, 3.55)->state
            ->next();
        self::assertSame(PlanKind::Suspect, $next->kind);
        self::assertSame(
            'Turned to and fro, and not settled. Play changes by 3.4 mm as the bars turn, and the band is 4.0 mm wide: hardly any setting is inside in every pose. Look for a trapped or wrongly routed cable before anything is turned again.',
            $next->sentence,
        );
    }

    public function test_where_no_setting_could_be_told_to_be_inside_in_every_pose_nothing_is_turned(): void
    {
        // 3.85 of 4.0 mm: whatever straight reads, one of the two could not be told from its edge.
        $job = TestJob::throttle()->ready();
        $job->instrument = 'caliper';
        $job
            ->read(4.5, 4.55, 4.5)
            ->line('-1f', 'in_band')
            ->read(4.7, 4.75, 4.7)
            ->readIn(Pose::Left, 7.45, 7.4, 7.45)
            ->readIn(Pose::Right, 3.6, 3.55, 3.6);
        $next = $job->state->next();
        self::assertSame(PlanKind::RoutingFault, $next->kind);
        self::assertStringStartsWith(
            'Play changes by 3.9 mm as the bars turn, and the band is 4.0 mm wide: hardly any setting',
            $next->sentence,
        );
        self::assertNull($next->recommended);
        self::assertSame(
            PlanKind::Prove,
            $job->entry('put_right', ['cure' => 'route'])->read(4.0, 4.0, 4.05)->state->next()->kind,
        );
    }

    public function test_one_reading_of_a_pose_names_no_route(): void
    {
        $job = TestJob::throttle()->ready();
        $job->instrument = 'caliper';
        $job->read(4.5, 4.55, 4.5)->readIn(Pose::Left, 6.0)->readIn(Pose::Right, 2.2);
        self::assertNotSame(PlanKind::RoutingFault, $job->state->next()->kind);
        self::assertSame(
            PlanKind::RoutingFault,
            $job->readIn(Pose::Left, 6.0, 6.05)->readIn(Pose::Right, 2.2, 2.15)->state->next()->kind,
        );
    }

    public function test_what_was_turned_before_something_was_put_right_was_another_machine(): void
    {
        $job = self::swung(TestJob::throttle()->ready(), 'grip', 8.0)->read(8.0, 8.0, 8.0);
        self::assertSame(PlanKind::Suspect, $job->state->next()->kind);
        $job->entry('put_right', ['cure' => 'route'])->read(8.0, 8.0, 8.0);
        self::assertSame(PlanKind::Move, $job->state->next()->kind);
        self::assertSame(0, Swinging::of($job->state->run, $job->state->facts)->reversals());
        self::assertTrue(
            Swinging::of($job->state->run, $job->state->facts)->reverses(-1.0),
            'the thread is still come from that side',
        );
    }

    /** Turned three times, each the other way than before, the last of them in: it wants to go out again. */
    private static function swung(TestJob $job, string $adjuster, float $reads): TestJob
    {
        $job->adjuster = $adjuster;
        $job->read($reads, $reads, $reads);
        foreach (['-1f', '+1f', '-1f'] as $turn) {
            $job->line($turn, 'in_band')->read($reads, $reads, $reads);
        }

        return $job;
    }
}
