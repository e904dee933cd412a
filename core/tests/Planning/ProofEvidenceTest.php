<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\SlidingDrive;
use VividPull\Core\Input\Node;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\ProofEvidence;
use VividPull\Core\Planning\TableAdviceKind;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\Mover;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\BesideCodec;
use VividPull\Core\Wire\RunCodec;

/** From a failed proof to the next move. Which way each errs: common practice, no source. */
final class ProofEvidenceTest extends TestCase
{
    public function test_a_late_bite_wants_more_slack_within_the_band_and_the_job_goes_on_from_there(): void
    {
        $job = self::proved(13, ['bite' => 'late']);
        self::assertSame(
            [JobStage::Set, 'condition:ran'],
            [$job->state->progress->stage, self::asked($job)],
            'it was run',
        );
        self::assertSame([JobStage::Set, 'in_band'], [$job->line('cold')->state->progress->stage, self::asked($job)]);
        self::assertSame('Set it finer, inside the band', self::item($job)->label);
        $next = $job->state->next();
        self::assertSame(PlanKind::Move, $next->kind);
        self::assertStringStartsWith('“Where does it bite?” At the very end: it wants more slack.', $next->sentence);
        $advice = $next->options[$next->recommended ?? ''] ?? self::fail('no move');
        $steps = $advice->steps ?? self::fail('no move');
        self::assertGreaterThan(0.0, $job->state->run->adjuster($advice->adjuster)?->slackGiven($steps));
        self::assertLessThan(20.0, $advice->expected, 'and stays inside the band');
        $job->line('done', 'in_band', turns: $steps->toFloat());
        self::assertSame(JobStage::Set, $job->state->progress->stage, 'it is read again');
    }

    public function test_an_early_bite_wants_less(): void
    {
        $next = self::proved(17, ['bite' => 'early'])->state->next();
        self::assertStringContainsString('it wants less slack', $next->sentence);
        self::assertSame(PlanKind::Move, $next->kind);
    }

    public function test_at_the_edge_of_its_band_the_cause_lies_elsewhere_and_is_put_right(): void
    {
        $job = self::proved(19.4, ['bite' => 'late']);
        self::assertSame('put_right', self::asked($job));
        self::assertStringContainsString('No step that way is left inside the band.', self::item($job)->said ?? '');
        self::assertStringContainsString('Look for: the arm on the wrong spline', $job->state->next()->sentence);
        $job->entry('put_right', ['cure' => 'other', 'remark' => 'arm moved by a tooth']);
        self::assertSame('in_band', self::asked($job->line('cold')), 'read and tried anew');
    }

    public function test_a_cable_that_has_play_holds_nothing_and_is_not_given_more(): void
    {
        $job = self::proved(15, ['no_slip' => 'slips']);
        self::assertSame('put_right', self::asked($job));
        self::assertStringStartsWith(
            '“Lever out, in a high gear against the brake, or under load: does it hold?” It slips: the engine speeds up, the wheel does not: its cable has play, and so that is no matter of slack.',
            self::item($job)->said ?? '',
        );
        self::assertSame(PlanKind::Suspect, $job->state->next()->kind);
        // A late bite asks for slack by itself.
        $late = self::proved(13, ['no_slip' => 'slips', 'bite' => 'late'])->line('cold')->state->next();
        self::assertSame(PlanKind::Move, $late->kind);
        self::assertStringContainsString('At the very end: it wants more slack.', $late->sentence);
    }

    public function test_a_throttle_with_play_that_does_not_snap_shut_is_oiled_and_not_turned(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 4, 4)->readIn(Pose::Right, 4, 4);
        $job->entry('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'left']);
        self::assertSame('put_right', self::asked($job));
        self::assertStringContainsString(
            'its cable has play, and so that is no matter of slack. Look for: a dry or kinked wire, a grip that rubs at the end of the bar, a weak return spring, a route that binds.',
            $job->state->next()->sentence,
        );
        // Where nobody read it in that pose, it may be taut there.
        $unread = TestJob::throttle()->ready()->read(4, 4, 4);
        $unread->entry('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'left']);
        self::assertStringContainsString('it wants more slack', $unread->state->next()->sentence);
        $doubtful = TestJob::throttle(['aim' => ['low_mm' => 0.2]])
            ->ready()
            ->read(0.3, 0.3, 0.3)
            ->readIn(Pose::Left, 0.3)
            ->readIn(Pose::Right, 0.3);
        $doubtful->entry('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'left']);
        self::assertStringNotContainsString('has play', $doubtful->state->next()->sentence);
    }

    public function test_proofs_that_contradict_each_other_say_that_no_setting_does_both(): void
    {
        $job = self::proved(15, ['no_creep' => 'no', 'no_slip' => 'slips']);
        self::assertSame('put_right', self::asked($job));
        self::assertStringContainsString('No setting does both.', self::item($job)->said ?? '');
        self::assertSame(PlanKind::Suspect, $job->state->next()->kind);
    }

    public function test_what_was_tried_before_bounds_the_next_step(): void
    {
        $free = self::proved(13, ['bite' => 'late']);
        $free->line('cold')->line('-2f', 'in_band')->read(14.4, 14.4, 14.4);
        // Two flats looser it bit too early: the good place lies between, one flat off.
        $free
            ->line('ok', 'lock:perch')
            ->read(14.4, 14.4, 14.4)
            ->line('yes', 'check:arm_loose')
            ->line('yes', 'check:wiggle_still')
            ->refit();
        $free->line('yes', 'check:no_creep')->line('holds', 'check:no_slip')->line('early', 'check:bite');
        $next = $free->state->next();
        self::assertSame(
            [PlanKind::Move, 1],
            [$next->kind, ($next->options['perch']->steps ?? self::fail('no move'))->count / 120],
            'back by one flat of the two',
        );
    }

    public function test_where_it_failed_further_that_way_what_lies_between_is_not_tried_again(): void
    {
        $job = self::proved(13, ['bite' => 'late']);
        // Nearly as loose as the band allows it bites as late; then it was brought back.
        $job->line('cold')->line('-1t3f', 'in_band')->read(19.4, 19.4, 19.4);
        self::provedAgain($job, 'late');
        $job->line('cold')->line('+1t3f', 'in_band')->read(13, 13, 13);
        self::provedAgain($job, 'late');
        $next = $job->state->next();
        self::assertSame(PlanKind::Suspect, $next->kind, $next->sentence);
        self::assertStringContainsString(
            'It failed further that way, too, and no step is left inside the band.',
            $next->sentence,
        );
        self::assertSame('put_right', self::asked($job));
    }

    public function test_what_fails_at_four_settings_is_hardly_a_matter_of_slack(): void
    {
        $job = self::proved(11.5, ['bite' => 'late']);
        foreach ([13.0, 14.4, 15.9] as $n => $mm) {
            self::assertSame(PlanKind::Move, $job->state->next()->kind, "after {$n} moves");
            $job->line('cold')->line('-2f', 'in_band')->read($mm, $mm, $mm);
            self::provedAgain($job, 'late');
        }
        $next = $job->state->next();
        self::assertSame(PlanKind::Suspect, $next->kind);
        self::assertStringContainsString(
            'It failed so at 4 settings: that is hardly a matter of slack. Look for:',
            $next->sentence,
        );
        $job
            ->entry('put_right', ['cure' => 'other', 'remark' => 'arm moved by a tooth'])
            ->line('cold')
            ->read(15.9, 15.9, 15.9);
        self::assertSame(
            PlanKind::Prove,
            $job->state->next()->kind,
            'what was seen before it was put right counts no more',
        );
    }

    public function test_what_proofs_drove_it_from_it_is_not_brought_back_to_for_the_threads_sake(): void
    {
        $evidence = static fn (TestJob $job): ProofEvidence => ProofEvidence::of(
            $job->state->spec,
            $job->state->run,
            $job->state->facts,
        );
        $band = SpecBand::between(10, 20);
        $job = self::proved(17, ['bite' => 'early']);
        self::assertEqualsWithDelta(
            [10.0, 17.0],
            [
                $evidence($job)->allowed($band, 17.0, 3.4737)?->floor(),
                $evidence($job)->allowed($band, 17.0, 3.4737)?->ceiling(),
            ],
            1e-9,
        );
        $job->line('cold')->line('+1t', 'in_band')->read(12.7, 12.7, 12.7);
        self::assertEqualsWithDelta(
            17.0,
            $evidence($job)->allowed($band, 12.7, 3.4737)?->ceiling(),
            0.05,
            'one turn of 1.25 mm back',
        );
        self::provedAgain($job, 'early');
        self::assertEqualsWithDelta(12.7, $evidence($job)->allowed($band, 12.7, 3.4737)?->ceiling(), 1e-9);
        $job->line('cold')->line('+3f', 'in_band')->read(10.6, 10.6, 10.6);
        self::provedAgain($job, 'early');
        self::assertNull($evidence($job)->allowed($band, 10.6, 3.4737), 'there is no room to turn in');
        self::assertSame($band, $evidence(self::proved(15, []))->allowed($band, 15.0, 3.4737), 'nothing failed');
    }

    private static function provedAgain(TestJob $job, string $bite): void
    {
        $mm = $job->state->judgement->nowGroup->found->mean ?? self::fail('not read');
        $job
            ->line('ok', 'lock:perch')
            ->read($mm, $mm, $mm)
            ->line('yes', 'check:arm_loose')
            ->line('yes', 'check:wiggle_still')
            ->refit();
        $job->line('yes', 'check:no_creep')->line('holds', 'check:no_slip')->line($bite, 'check:bite');
    }

    public function test_slow_on_grass_takes_one_rung_and_creeping_there_says_so(): void
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
        while (! str_starts_with(self::asked($job) ?? '', 'found:')) {
            $job->line('ok');
        }
        $job->entry('outcome', ['setting' => 'drive', 'saw' => 'right']);
        foreach (['rolls_back', 'handle_returns'] as $key) {
            $job->entry('check', ['key' => $key, 'answer' => 'yes']);
        }
        $job
            ->refit()
            ->entry('check', ['key' => 'nothing_at_rest', 'answer' => 'yes'])
            ->entry('check', ['key' => 'on_grass', 'answer' => 'slow']);
        $advice = TablePlanner::advise(
            $job->state->spec,
            $job->state->judgement->table ?? self::fail('no table'),
            $job->state->run,
            $job->state->facts,
        );
        self::assertSame(TableAdviceKind::Move, $advice->kind);
        self::assertGreaterThan(0.0, $advice->shift, 'towards more drive');
        self::assertSame(
            'thread:bracket',
            self::asked($job),
            'now that it is going to be moved, where it stands is noted first',
        );
        $job->line('ok');
        self::assertSame('in_band', self::asked($job));
    }

    public function test_what_still_lacks_to_wide_open_is_taken_up_and_no_more(): void
    {
        $job = self::trigger()->line('no', 'check:wide_open');
        $before = $job->state->next();
        self::assertSame(PlanKind::Move, $before->kind, 'tighter, by the smallest step, while nobody has measured');
        $job->entry('measure', ['key' => 'short_of_open', 'value' => 1.5, 'entered' => '1.5']);
        $next = $job->state->next();
        self::assertSame(PlanKind::Move, $next->kind);
        self::assertStringContainsString('It still has 1.5 mm to go.', $next->sentence);
        // One turn of M6 × 1 is 1 mm at the wire: a turn and a half, to half a flat.
        self::assertEqualsWithDelta(
            1.5,
            abs(($next->options['in_line']->steps ?? self::fail('no move'))->toFloat()),
            1 / 6 + 1e-9,
        );
    }

    public function test_in_its_band_and_yet_short_is_no_matter_of_slack(): void
    {
        $job = self::trigger()
            ->line('no', 'check:wide_open')
            ->entry('measure', ['key' => 'short_of_open', 'value' => 4.0, 'entered' => '4']);
        $next = $job->state->next();
        self::assertSame(PlanKind::Suspect, $next->kind, '2.5 mm less 4 is no play at all');
        self::assertStringContainsString(
            'in its band and yet short. Look at the bracket, the cable, and the stop',
            $next->sentence,
        );
        self::assertSame('put_right', self::asked($job));
    }

    public function test_what_was_measured_before_a_move_says_nothing_after_it(): void
    {
        $job = self::trigger()
            ->line('no', 'check:wide_open')
            ->entry('measure', ['key' => 'short_of_open', 'value' => 1.5, 'entered' => '1.5']);
        $job
            ->line('cold')
            ->line('+1t', 'in_band')
            ->read(1.5, 1.5, 1.5)
            ->line('ok', 'lock:in_line')
            ->read(1.5, 1.5, 1.5)
            ->line('no', 'check:wide_open');
        self::assertNull(ProofEvidence::of($job->state->spec, $job->state->run, $job->state->facts)->shortOfOpen());
    }

    private static function trigger(): TestJob
    {
        $job = TestJob::of(
            [
                'family' => 'trigger_throttle',
                'aim' => [
                    'kind' => 'free_play_band',
                    'point' => 'carburettor_barrel',
                    'low_mm' => 0.3,
                    'high_mm' => 3.5,
                ],
                'conditions' => ['poses' => ['straight']],
                'policy' => 'middle',
            ],
            [
                'hand' => ['kind' => 'trigger', 'name' => 'Trigger'],
                'cables' => [[
                    'id' => 'cable',
                    'name' => 'Cable',
                    'adjusters' => [[
                        'id' => 'in_line',
                        'name' => 'in-line adjuster',
                        'kind' => 'in_line',
                        'thread' => 'M6 x 1',
                        'travel_mm' => 20,
                    ]],
                ]],
                'working_end' => 'carburettor',
            ],
            ['in_line' => 5.0],
        );
        $job->instrument = 'caliper';

        return $job->toReading()->read(2.5, 2.5, 2.5);
    }

    /** What is tapped once it was put right is a cure that its family has. */
    public function test_whatever_is_suspected_has_its_cure_on_the_card(): void
    {
        $run = RunCodec::decode(Node::of(TestJob::clutchRun()));
        $cured = 0;
        foreach (FamilyKey::cases() as $key) {
            foreach (Families::of($key)->proofs($run) as $proof) {
                self::assertNotSame([], $proof->suspects, "{$proof->question}: it leads nowhere");
                foreach ($proof->suspects as $suspect) {
                    $cured += $suspect->cure === null ? 0 : 1;
                    self::assertContains($suspect->cure ?? Cure::Other, Families::of($key)->cures(), $suspect->what);
                    self::assertTrue($suspect->cure === null || $suspect->part === null, $suspect->what);
                }
            }
        }
        self::assertGreaterThan(25, $cured);
    }

    public function test_a_proof_that_failed_names_what_is_looked_for_and_is_tried_anew_where_nothing_is_found(): void
    {
        $job = TestJob::throttle()->ready();
        foreach ([false, true] as $isLookedAt) {
            $job->read(4.0)->readIn(Pose::Left, 4.0)->readIn(Pose::Right, 4.0);
            $job->entry('check', ['key' => 'snap_shut', 'pose' => 'straight', 'answer' => 'no']);
            self::assertSame('put_right', $job->state->progress->asks()?->key);
            self::assertSame(
                [
                    ['what' => 'a dry or kinked wire', 'cure' => 'oiled', 'part' => null],
                    ['what' => 'a grip that rubs at the end of the bar', 'cure' => null, 'part' => null],
                    ['what' => 'a weak return spring', 'cure' => 'spring', 'part' => null],
                    ['what' => 'a route that binds', 'cure' => 'route', 'part' => null],
                ],
                BesideCodec::encode($job->state)['suspects'],
            );
            self::assertSame($isLookedAt, $job->state->next()->isLookedAt);
            self::assertSame(
                $isLookedAt,
                str_ends_with($job->state->next()->sentence, 'have a second person look, or hang the tag.'),
            );
            if (! $isLookedAt) {
                $job->line('nothing found');
                self::assertSame([], $job->state->facts->answers->checks, 'it is tried anew');
                self::assertSame([], BesideCodec::encode($job->state)['suspects']);
            }
        }
    }

    /** Common practice, no source: what lets a hand control hang is a spring, a wire or a pivot, whatever it moves. */
    public function test_what_does_not_spring_back_is_looked_for_at_its_spring_and_not_at_its_belt(): void
    {
        $run = RunCodec::decode(Node::of(TestJob::clutchRun()));
        $named = 0;
        foreach (FamilyKey::cases() as $key) {
            foreach (Families::of($key)->proofs($run) as $proof) {
                if (in_array($proof->key, ['springs_back', 'handle_returns', 'snap_shut'], true)) {
                    $suspects = implode(', ', array_column($proof->suspects, 'what'));
                    self::assertStringContainsString('spring', $suspects, $key->value);
                    self::assertStringContainsString('wire', $suspects, $key->value);
                    $named++;
                }
            }
        }
        self::assertSame(9, $named);
    }

    /** @return iterable<string, array{FamilyKey, string, string, Bearing}> */
    public static function bearings(): iterable
    {
        yield 'clutch creeps: it drags, too loose' => [FamilyKey::ClutchLever, 'no_creep', 'no', Bearing::LessSlack];
        yield 'clutch slips: held partly open' => [FamilyKey::ClutchLever, 'no_slip', 'slips', Bearing::Taut];
        yield 'clutch bites at the bar: too loose' => [FamilyKey::ClutchLever, 'bite', 'early', Bearing::LessSlack];
        yield 'arm not free' => [FamilyKey::ClutchLever, 'arm_loose', 'no', Bearing::Taut];
        yield 'throttle does not snap shut' => [FamilyKey::TwistGrip, 'snap_shut', 'no', Bearing::Taut];
        yield 'idle rises when steering' => [FamilyKey::TwistGrip, 'idle_steady', 'no', Bearing::Taut];
        yield 'wire out of its groove is no matter of slack' => [
            FamilyKey::TwistGrip,
            'wire_in_groove',
            'no',
            Bearing::Elsewhere,
        ];
        yield 'trigger not wide open' => [FamilyKey::TriggerThrottle, 'wide_open', 'no', Bearing::LessSlack];
        yield 'pedal jerks at take-off' => [FamilyKey::PedalThrottle, 'take_off', 'jerky', Bearing::MoreSlack];
        yield 'long dead pedal' => [FamilyKey::PedalThrottle, 'take_off', 'dead', Bearing::LessSlack];
        yield 'drive creeps' => [FamilyKey::SlidingDrive, 'nothing_at_rest', 'no', Bearing::MoreSlack];
        yield 'slow on grass' => [FamilyKey::SlidingDrive, 'on_grass', 'slow', Bearing::LessSlack];
        yield 'slips though the engine holds, engaged by its pull' => [
            FamilyKey::EngageByPull,
            'under_load',
            'slips',
            Bearing::LessSlack,
        ];
        yield 'slips, released by its pull: slacken or it burns' => [
            FamilyKey::ReleaseByPull,
            'under_load',
            'slips',
            Bearing::Taut,
        ];
        yield 'drives with the handle drawn, released by its pull' => [
            FamilyKey::ReleaseByPull,
            'stands_pulled',
            'no',
            Bearing::LessSlack,
        ];
        yield 'auger turns released' => [FamilyKey::HookControl, 'nothing_at_rest', 'no', Bearing::Taut];
        yield 'brake drags' => [FamilyKey::BrakePull, 'no_drag', 'no', Bearing::Taut];
        yield 'brake holds only at the end' => [FamilyKey::BrakePull, 'holds', 'at_end', Bearing::LessSlack];
    }

    #[DataProvider('bearings')]
    public function test_each_failing_answer_has_its_meaning(
        FamilyKey $key,
        string $proof,
        string $answer,
        Bearing $bearing,
    ): void {
        $run = RunCodec::decode(Node::of(TestJob::clutchRun()));
        $found = array_values(array_filter(
            Families::of($key)->proofs($run),
            static fn (Proof $one): bool => $one->key === $proof,
        ))[0]
            ?? self::fail($proof);
        self::assertSame($bearing, $found->bearing($answer));
        self::assertNull($found->bearing($found->answers->passing[0]));
    }

    private static function asked(TestJob $job): ?string
    {
        return $job->state->progress->asks()?->key;
    }

    private static function item(TestJob $job): StageItem
    {
        return $job->state->progress->asks() ?? self::fail('nothing is asked');
    }

    /** @param  array<string, string>  $fails */
    private static function proved(float $mm, array $fails): TestJob
    {
        $job = TestJob::clutch()->ready()->read($mm, $mm, $mm);
        foreach (['arm_loose' => 'yes', 'wiggle_still' => 'yes'] as $key => $answer) {
            $job->entry('check', ['key' => $key, 'answer' => $fails[$key] ?? $answer]);
        }
        $job->refit();
        foreach (['no_creep' => 'yes', 'no_slip' => 'holds', 'bite' => 'middle'] as $key => $answer) {
            $job->entry('check', ['key' => $key, 'answer' => $fails[$key] ?? $answer]);
        }

        return $job;
    }
}
