<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Log\ControlDrift;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Progress\ItemKey;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Parking;
use VividPull\Core\Tests\Support\TestJob;

/** Touch-up and service, parking, bringing a barrel home, last resorts, and aiming like another machine. */
final class ServiceTest extends TestCase
{
    public function test_a_touch_up_leaves_the_covers_on(): void
    {
        $next = self::found(1.0, 6.0, 25)->state->next();
        self::assertSame('perch', $next->recommended);
        self::assertSame(['perch'], array_column($next->plan->steps ?? [], 'adjuster'));
    }

    public function test_an_open_hidden_end_makes_it_service(): void
    {
        $job = self::found(3.0, 6.0, 25);
        self::assertSame('touch_up', self::mode($job));
        self::assertSame('service', self::mode($job->entry('cover', ['adjuster' => 'bracket', 'off' => true])));
        self::assertSame('touch_up', self::mode($job->line('touch-up')), 'what the person chose stands');
    }

    public function test_service_does_the_hidden_end_first_and_leaves_the_barrel_parked(): void
    {
        $job = self::found(4.2, 3.0, 25)->line('service');
        $steps = $job->state->next()->plan->steps ?? [];
        self::assertSame(['bracket', 'perch'], array_column($steps, 'adjuster'));
        $perch = Steps::exactly(4.2)->plus($steps[1]->steps ?? Steps::none());
        self::assertTrue(Parking::Threads->of(self::perch($job))->contains($perch), "{$perch->say()} out");
        self::assertEqualsWithDelta(17.5, $steps[1]->expected ?? 0.0, 0.8, 'the last step brings it to the target');
    }

    /** @return iterable<string, array{string, float, float}> schools of common practice, no source */
    public static function parkings(): iterable
    {
        yield 'two to three threads out' => ['park threads', 2.0, 3.0];
        yield 'in, then back a little' => ['park in', 0.5, 1.0];
        yield 'the middle of 8.8 turns' => ['park middle', 3.9, 4.9];
    }

    #[DataProvider('parkings')]
    public function test_where_it_is_parked_is_chosen(string $line, float $from, float $to): void
    {
        $job = self::found(1.5, 6.0, 22)->line('service')->line($line);
        $perch = Steps::exactly(1.5);
        foreach ($job->state->next()->plan->steps ?? [] as $step) {
            $perch = $step->adjuster === 'perch' ? $perch->plus($step->steps ?? Steps::none()) : $perch;
        }
        self::assertGreaterThanOrEqual($from, $perch->toFloat());
        // A healthy zone of half its thread comes before the middle of it.
        self::assertLessThanOrEqual(min($to, 4.4), $perch->toFloat());
    }

    public function test_a_barrel_two_thirds_out_is_brought_home_though_its_reading_is_inside(): void
    {
        $job = self::found(6.0, 4.0, 15);
        self::assertSame('service', self::mode($job));
        self::assertSame(PlanKind::Move, $job->state->next()->kind);
        self::assertSame('home:perch', $job->state->progress->asks()?->key);
        self::assertContains(
            'Set: bring the perch barrel back into its healthy zone is missing.',
            $job->state->progress->blocksFit,
        );
        $job->line('touch-up');
        self::assertSame(PlanKind::Prove, $job->state->next()->kind);
    }

    public function test_a_lever_inside_is_not_driven_off_for_a_barrel_that_stays_unhealthy(): void
    {
        // Both ends are used beyond their halves: nothing brings the barrel home without driving the other further out.
        $job = self::found(5.2, 10.6, 15);
        $next = $job->state->next();
        self::assertSame([PlanKind::Prove, 'Inside the band. Prove it.'], [$next->kind, $next->sentence]);
        self::assertSame(
            [[], null, null],
            [$next->options, $next->recommended, $next->plan],
            'nothing to turn is shown beside it',
        );
        self::assertSame(
            '6.5 mm out. It stays there: nothing else is known to have room to take that up inside the band',
            $job->state->progress->item('home:perch')?->said,
        );
        self::assertSame('check:arm_loose', $job->state->progress->asks()?->key, 'and the job goes on');
    }

    public function test_what_nobody_looked_at_may_bring_the_barrel_home_and_is_looked_at_first(): void
    {
        $job = TestJob::clutch(['policy' => 'loose'], standing: TestJob::standing(['perch' => 6.4]))
            ->ready()
            ->read(15, 15, 15);
        $next = $job->state->next();
        self::assertSame(
            'Inside the band. The perch barrel stands outside its healthy zone: look at the engine bracket first, which may take that up; or leave it for the next service.',
            $next->sentence,
        );
        self::assertSame(
            [PlanKind::Prove, [], null, 'bracket'],
            [$next->kind, $next->options, $next->plan, $next->recommended],
        );
        $home = $job->state->progress->asks() ?? self::fail('nothing is asked');
        self::assertSame(
            [
                'home:perch',
                'Outside it, the perch barrel wobbles and may snap. Look at the engine bracket first: it may take that up. Or leave it for the next service.',
            ],
            [$home->key, $home->detail],
        );
        self::assertSame(['touch-up'], array_column($home->answers, 'word'));

        self::assertSame(
            'No move was shown, so there is none to call done. Log what you turned, such as +3f.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->line('done')),
        );
        $job->line('touch-up');
        self::assertSame(
            ['Inside the band. Prove it.', null],
            [$job->state->next()->sentence, $job->state->progress->item('home:perch')],
        );
        $job
            ->line('service')
            ->entry('cover', ['adjuster' => 'bracket', 'off' => true])
            ->entry('thread', ['adjuster' => 'bracket', 'turns' => 4.0]);
        self::assertSame(PlanKind::Move, $job->state->next()->kind, 'it has room, and so the barrel is brought home');
        self::assertSame(
            'Outside it, the perch barrel wobbles and may snap. Take up at the other end. Or leave it for the next service.',
            $job->state->progress->item('home:perch')?->detail,
        );
    }

    public function test_of_one_that_cannot_be_seen_no_room_is_claimed_and_the_barrel_stays(): void
    {
        $job = TestJob::clutch(['policy' => 'loose'], standing: TestJob::standing(['perch' => 6.4]))
            ->ready()
            ->read(15, 15, 15);
        $job
            ->entry('cover', ['adjuster' => 'bracket', 'off' => true])
            ->entry('thread', ['adjuster' => 'bracket', 'unseen' => true]);
        self::assertSame('Inside the band. Prove it.', $job->state->next()->sentence);
        self::assertStringContainsString(
            'nothing else is known to have room',
            (string) $job->state->progress->item('home:perch')?->said,
        );
    }

    public function test_a_pose_read_outside_once_is_read_again_before_an_adjuster_is_brought_home(): void
    {
        $job = TestJob::throttle(standing: TestJob::standing(['grip' => 9.0, 'carburettor' => 3.0]))
            ->ready()
            ->line('service')
            ->read(4, 4, 4);
        self::assertSame('home:grip', self::asked($job));
        $job->readIn(Pose::Left, 0.9);
        self::assertSame([PlanKind::Read, 'pose:left'], [$job->state->next()->kind, self::asked($job)]);
        $job->readIn(Pose::Left, 4);
        self::assertSame(
            ItemTopic::Doubt,
            ItemKey::of(self::asked($job))->topic,
            'what does not go together is asked about first',
        );
        $low = array_values(array_filter(
            $job->state->log->entries,
            static fn (Entry $one): bool => $one instanceof ReadingTaken && $one->pose === Pose::Left,
        ))[0];
        $job->entry('void', ['entry' => $low->stamp->id, 'reason' => 'misread']);
        self::assertSame('home:grip', self::asked($job));
    }

    public function test_what_was_turned_out_in_this_job_to_bring_play_inside_is_not_turned_back_to_the_edge(): void
    {
        $job = TestJob::clutch(
            [
                'family' => 'hook_control',
                'aim' => ['point' => 'handle_travel', 'low_mm' => 8, 'high_mm' => 20],
                'conditions' => ['engine' => null],
            ],
            [
                'hand' => [
                    'kind' => 'handle',
                    'name' => 'Auger handle',
                    'pivot_to_wire_mm' => 50,
                    'pivot_to_point_mm' => ['handle_travel' => 140],
                    'knowledge' => 'drawn',
                ],
                'cables' => [[
                    'id' => 'auger',
                    'name' => 'Auger cable',
                    'adjusters' => [
                        [
                            'id' => 'holes',
                            'name' => 'auger hook',
                            'kind' => 'hook_holes',
                            'mm_per_step' => 4,
                            'knowledge' => 'measured',
                            'travel_steps' => ['from' => 1, 'to' => 5],
                            'access' => ['cover' => 'belt cover', 'minutes' => 4, 'tools' => 'pliers'],
                        ],
                        [
                            'id' => 'screw',
                            'name' => 'in-line adjuster',
                            'kind' => 'in_line',
                            'thread' => 'M6 x 1',
                            'travel_mm' => 10,
                            'access' => ['minutes' => 1, 'tools' => '8 and 10 mm spanners'],
                        ],
                    ],
                ]],
                'working_end' => 'auger clutch',
            ],
            TestJob::standing(['holes' => null, 'screw' => 3.0]),
        );
        $job->adjuster = 'screw';
        $job->instrument = 'caliper';
        while (($item = $job->state->progress->asks()) !== null && ! str_starts_with($item->key, 'reading')) {
            $job->line($item->key === 'condition' ? 'cold' : 'ok');
        }
        $job->read(26);
        self::assertSame('screw', $job->state->next()->recommended);
        $job->line('done', turns: $job->state->next()->options['screw']->steps?->toFloat())->read(14);
        self::assertFalse(
            $job->state->run
                ->adjuster('screw')
                ?->healthy()
                ->contains($job->state->facts->adjusters->positions['screw'] ?? Steps::none()),
        );
        self::assertSame(PlanKind::Prove, $job->state->next()->kind, $job->state->next()->sentence);
    }

    public function test_its_way_home_never_pulls_the_cable_taut(): void
    {
        $expected = array_map(
            static fn ($step): float => $step->expected ?? 0.0,
            self::found(6.0, 4.0, 15)->state->next()->plan->steps ?? [],
        );
        self::assertCount(2, $expected);
        self::assertGreaterThan(0.0, min($expected));
    }

    public function test_a_clamp_is_the_last_resort_and_its_bolt_comes_home_first(): void
    {
        $plan = self::tractor(['bolt' => 12.0, 'clamp' => 3.0], 40)->state->next()->plan;
        self::assertSame(['bolt', 'clamp'], array_column($plan->steps ?? [], 'adjuster'));
        self::assertNotNull($plan);
        self::assertLessThan(0, $plan->steps[0]->steps?->count);
        self::assertLessThanOrEqual(
            1.0,
            12.0 + ($plan->steps[0]->steps ?? self::fail('no move'))->toFloat(),
            'within a turn of home',
        );
        $easy = self::tractor(['bolt' => 3.0, 'clamp' => 3.0], 24)->state->next()->plan;
        self::assertSame(
            ['bolt'],
            array_column($easy->steps ?? [], 'adjuster'),
            'while the bolt reaches, the clamp is let be',
        );
    }

    public function test_a_clamp_is_not_planned_over_a_bolt_nobody_measured(): void
    {
        $next = self::tractor(['bolt' => null, 'clamp' => 3.0], 60)->state->next();
        self::assertSame(['bolt'], array_column($next->plan->steps ?? [], 'adjuster'));
    }

    public function test_the_plan_says_why_and_what_came_second(): void
    {
        $plan = self::found(1.0, 6.0, 25)->state->next()->plan;
        self::assertSame('It takes 6 min less to reach.', $plan?->why);
        self::assertStringContainsString('engine bracket out', (string) $plan->runnerUp);
    }

    public function test_a_figure_of_another_machine_is_the_target(): void
    {
        $job = self::found(1.0, 6.0, 25)->entry('policy', ['like' => ['machine' => 'RT-11', 'mm' => 13.0]]);
        self::assertSame(13.0, $job->state->next()->target);
        self::assertSame(17.5, $job->line('aim loose')->state->next()->target, 'until another aim is chosen');
        self::assertStringContainsString(
            'RT-11 was left at 23 mm, which is outside the band',
            $job->refusal(static fn (TestJob $one) => $one->entry(
                'policy',
                ['like' => ['machine' => 'RT-11', 'mm' => 23.0]],
            )),
        );
    }

    public function test_reserve_is_kept_for_the_way_this_control_drifts_by_itself(): void
    {
        // Slack must be given: in by two and a half turns at the perch leaves one, at the bracket six.
        $known = static fn (?array $drift): ?string => TestJob::clutch(
            standing: ['drift' => $drift] + TestJob::standing(['perch' => 3.5, 'bracket' => 8.5]),
        )
            ->ready()->read(4, 4, 4)->state->next()->recommended;
        self::assertSame('bracket', $known(null), 'three turns are kept where nothing is known');
        self::assertSame(
            'perch',
            $known(['conduit_mm' => -0.3, 'intervals' => 4]),
            'two intervals of 0.3 mm are half a turn',
        );
        self::assertSame('bracket', $known(['conduit_mm' => -0.3, 'intervals' => 1]), 'one interval says nothing');
        self::assertSame(
            'perch',
            $known(['conduit_mm' => 2.0, 'intervals' => 3]),
            'play that grows will want the other way',
        );
    }

    public function test_drift_is_what_was_found_less_what_was_left_before(): void
    {
        $visits = [
            ['found' => 20.0, 'left' => 15.0],
            ['found' => 12.0, 'left' => 16.0],
            ['found' => 14.5, 'left' => null],
            ['found' => 9.0, 'left' => 15.0],
        ];
        $drift = ControlDrift::over($visits, 2.0);
        self::assertEqualsWithDelta((-3.0 - 1.5) / 2 / 2.0, $drift?->conduitMm, 1e-12);
        self::assertSame(2, $drift?->intervals);
        self::assertNull(ControlDrift::over([['found' => 20.0, 'left' => 15.0]], 2.0));
    }

    /** @phpstan-impure the job goes on */
    private static function asked(TestJob $job): string
    {
        return $job->state->progress->asks()->key ?? '';
    }

    private static function mode(TestJob $job): string
    {
        return \VividPull\Core\Planning\ChosenMode::of($job->state->run, $job->state->facts)->value;
    }

    private static function perch(TestJob $job): \VividPull\Core\Cable\Adjuster
    {
        return $job->state->run->adjuster('perch') ?? self::fail('no perch');
    }

    private static function found(float $perch, float $bracket, float $play): TestJob
    {
        return TestJob::clutch(
            ['policy' => 'loose'],
            standing: TestJob::standing(['perch' => $perch, 'bracket' => $bracket]),
        )
            ->ready()
            ->read($play, $play, $play);
    }

    /** @param  array<string, float|null>  $positions */
    private static function tractor(array $positions, float $play): TestJob
    {
        $run = [
            'hand' => [
                'kind' => 'handle',
                'name' => 'Drive handle',
                'pivot_to_wire_mm' => 45,
                'pivot_to_point_mm' => ['handle_travel' => 150],
                'knowledge' => 'measured',
            ],
            'cables' => [['id' => 'drive', 'name' => 'Drive cable', 'adjusters' => [
                [
                    'id' => 'bolt',
                    'name' => 'hollow bolt',
                    'kind' => 'hollow_bolt',
                    'thread' => 'M8 x 1.25',
                    'travel_mm' => 16,
                ],
                [
                    'id' => 'clamp',
                    'name' => 'pinch clamp',
                    'kind' => 'pinch_clamp',
                    'mm_per_step' => 1,
                    'knowledge' => 'measured',
                    'travel_steps' => ['from' => 0, 'to' => 25],
                ],
            ]]],
            'working_end' => 'drive clutch',
        ];
        $job = TestJob::clutch(
            [
                'family' => 'other_control',
                'aim' => ['point' => 'handle_travel', 'low_mm' => 6, 'high_mm' => 18],
                'conditions' => ['engine' => null],
            ],
            $run,
            TestJob::standing($positions),
        );
        $job->adjuster = 'bolt';
        while (
            ($item = $job->state->progress->asks()) !== null
            && ! str_starts_with($item->key, 'reading')
            && ! ($item->key === 'thread:bolt' && $positions['bolt'] === null)
        ) {
            $job->line(match ($item->key) {
                'condition' => 'cold',
                'thread:clamp' => $positions['clamp'] === null ? 'unseen' : 'ok',
                default => 'ok',
            });
        }

        return $job->read($play, $play, $play);
    }
}
