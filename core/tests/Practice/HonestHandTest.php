<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Cable\Run;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Planning\Swinging;
use VividPull\Core\Practice\Control\AsFound;
use VividPull\Core\Practice\Control\Behaviour;
use VividPull\Core\Practice\Control\DrawnJob;
use VividPull\Core\Practice\Control\Fault;
use VividPull\Core\Practice\Control\HonestHand;
use VividPull\Core\Practice\Control\JobEnd;
use VividPull\Core\Practice\Control\JobTable;
use VividPull\Core\Practice\Control\Mechanics;
use VividPull\Core\Practice\Control\TrueControl;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Tests\Support\MadeUp;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\LogRows;

/**
 * Whole jobs of every family on controls whose truth the bench does not see, by a hand that does what it is asked and
 * says what is so: what is called fit is fit, and every job comes to an end. `bin/vivid jobs` prints more of them.
 */
final class HonestHandTest extends TestCase
{
    private const EACH = 15;

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_what_is_called_fit_is_fit_and_every_job_ends(FamilyKey $family): void
    {
        $table = JobTable::of($family, self::EACH, 0.3, false);
        self::assertSame([], $table->wrong);
        self::assertLessThanOrEqual(1, $table->ends[JobEnd::Suspected->value]);
        self::assertGreaterThan(0.4 * self::EACH, $table->ends[JobEnd::Fit->value]);
        self::assertLessThanOrEqual(6, $table->movesOf(0.9));
    }

    #[DataProvider('families')]
    public function test_nor_with_a_rule_and_a_drawing_that_is_off(FamilyKey $family): void
    {
        $table = JobTable::of($family, self::EACH, 0.6, true, 5000);
        self::assertSame([], $table->wrong);
        self::assertLessThanOrEqual(0.1 * self::EACH, $table->ends[JobEnd::Suspected->value]);
        self::assertLessThanOrEqual(30, $table->movesOf(1.0), 'none goes on for ever');
    }

    /** A judge that finds nothing wrong with anything would let all of that pass. */
    public function test_the_judge_of_those_jobs_knows_a_control_that_is_not_fit(): void
    {
        $seen = [];
        for ($seed = 1; $seed <= 60; $seed++) {
            $control = DrawnJob::of(FamilyKey::ClutchLever, new SeededChance($seed))->control;
            $play = $control->play(ReadingPoint::LeverTip);
            self::assertSame($play >= 10.0 && $play <= 20.0, $control->isInBand(0.0));
            $seen[] = match (true) {
                $control->is('taut') => 'taut',
                $control->is('tight') => 'tight',
                $control->is('loose') => 'loose',
                ! $control->inspected('wire') => 'frayed',
                default => 'right',
            };
            self::assertSame(end($seen) !== 'right' || $control->wants() !== null, $control->isUnsafe());
        }
        self::assertEqualsCanonicalizing(
            ['taut', 'tight', 'loose', 'frayed', 'right'],
            array_values(array_unique($seen)),
        );
    }

    /** What the bench asks to be measured is what the lever has, and with it the job ends; drawn as no book has it. */
    public function test_a_lever_that_is_measured_when_it_is_asked_for_is_set(): void
    {
        $measured = [];
        foreach ([5012, 5071, 5095, 5121, 5131] as $seed) {
            [$spec, $run, $control, $at] = self::rough($seed);
            $worked = HonestHand::work($spec, $run, $control, $at, self::RULE);
            self::assertFalse($worked->end === JobEnd::Fit && $control->isUnsafe(), "seed {$seed}");
            $measured += $worked->state->run->hand->isMeasuredHere ? [$seed => $worked->end] : [];
        }
        self::assertNotSame([], $measured);
        self::assertNotContains(JobEnd::Suspected, $measured);
    }

    /**
     * Nobody looked where an adjuster stands: what is advised can be turned all the same, as far as anybody knows, and
     * the job ends.
     */
    public function test_what_is_advised_where_nobody_saw_a_thread_is_never_refused(): void
    {
        $unseen = 0;
        foreach ([9801, 9805, 9809, 9813, 9817, 9820, 9832] as $seed) {
            [$spec, $run, $control] = self::rough($seed);
            $worked = HonestHand::work($spec, $run, $control, [], self::RULE, false);
            self::assertNotSame(JobEnd::Lost, $worked->end, "seed {$seed}: {$worked->why}");
            self::assertFalse($worked->end === JobEnd::Fit && $control->isUnsafe(), "seed {$seed}");
            $unseen += count($worked->state->facts->adjusters->may);
        }
        self::assertGreaterThan(5, $unseen, 'many of them were moved');
    }

    private const RULE = ['id' => 'rule', 'kind' => 'steel_rule', 'resolution_mm' => 0.5];

    /**
     * A made-up clutch lever, off its drawing, that sticks and is misread now and then.
     *
     * @return array{Spec, Run, TrueControl, array<string, float>}
     */
    private static function rough(int $seed): array
    {
        [$chance, $spec, $run] = [new SeededChance($seed * 31 + 7), ...self::madeUp($seed)];
        $at = array_map(static fn (Adjuster $one): float => self::somewhere($one, $chance), $run->adjusters());
        [$low, $high] = [$spec->play()->band->floor(), $spec->play()->band->high ?? 0.0];
        $width = max(0.5, $high - $low);
        $found = new AsFound($chance->between(-0.4 * $width, $high + 1.5 * $width), null, 0.0, $at, []);
        $times = exp(0.3 * $chance->normal());
        $sense = $chance->between(0.0, 1.0) < 0.5 ? 1 : -1;

        return [
            $spec,
            $run,
            new TrueControl($spec, $run, $found, new Mechanics($times, [], 0.25, $sense, 0.4, 0.02), $chance),
            $at,
        ];
    }

    /** @return array{Spec, Run} */
    private static function madeUp(int $seed): array
    {
        $state = MadeUp::job(FamilyKey::ClutchLever, 70_000 + $seed)->state;

        return [$state->spec, $state->run];
    }

    /** Safely engaged, at one of its smallest steps. */
    private static function somewhere(Adjuster $adjuster, SeededChance $chance): float
    {
        [$from, $to] = [$adjuster->safe()->from->toFloat(), $adjuster->safe()->to->toFloat()];
        $step = $adjuster->smallestStep()->toFloat();

        return $from + floor(($to - $from) * $chance->between(0.15, 0.6) / $step) * $step;
    }

    public function test_a_control_does_what_its_state_makes_it_do(): void
    {
        $job = DrawnJob::of(FamilyKey::ClutchLever, new SeededChance(7), 0.0);
        $barrel = 'barrel';
        // All the way in, it has all the slack there is; out again by more than that, it is taut.
        $job->control->turn($barrel, Steps::exactly(-50.0));
        self::assertSame(0.0, $job->control->stands($barrel));
        self::assertSame('no', Behaviour::shows(FamilyKey::ClutchLever, 'no_creep', $job->control));
        self::assertSame('early', Behaviour::shows(FamilyKey::ClutchLever, 'bite', $job->control));
        self::assertNull(Behaviour::shows(FamilyKey::ClutchLever, 'arm_loose', $job->control));
        $job->control->turn($barrel, Steps::exactly(50.0));
        $job->control->turn('bracket_nuts', Steps::exactly(50.0));
        self::assertTrue($job->control->is('taut'));
        self::assertSame('no', Behaviour::shows(FamilyKey::ClutchLever, 'arm_loose', $job->control));
        self::assertSame('slips', Behaviour::shows(FamilyKey::ClutchLever, 'no_slip', $job->control));
        self::assertSame(0.0, $job->control->read(ReadingPoint::LeverTip, null, 0.5) > 1.0 ? 1.0 : 0.0);
    }

    public function test_a_fault_stays_until_it_is_what_was_put_right(): void
    {
        for ($seed = 1, $found = 0; $found < 5; $seed++) {
            $control = DrawnJob::of(FamilyKey::PedalThrottle, new SeededChance($seed), 1.0)->control;
            if ($control->wants() !== Cure::Spring) {
                continue;
            }
            $found++;
            self::assertSame('no', Behaviour::shows(FamilyKey::PedalThrottle, 'snap_shut', $control));
            $control->cure(Cure::Oiled);
            self::assertTrue($control->is(Fault::WeakSpring->value));
            $control->cure(Cure::Spring);
            self::assertNull($control->wants());
        }
        self::assertNull(Fault::FrayedWire->cure(), 'it is replaced');
    }

    public function test_an_arm_goes_where_somebody_who_watches_it_wants_it(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            $job = DrawnJob::of(FamilyKey::SpeedSelector, new SeededChance($seed));
            $table = $job->spec->other(OutcomeTable::class);
            $bracket = $job->run->adjuster('slotted_bracket');
            self::assertNotNull($table);
            self::assertNotNull($bracket);
            $job->control->turn('slotted_bracket', $job->control->towards($bracket, -4.0));
            self::assertSame('reverse', $job->control->does($table->settings['f1']));
            self::assertTrue($job->control->isUnsafe(), 'F1 drives backward');
        }
    }

    public function test_one_misread_pose_accuses_no_cable(): void
    {
        $job = TestJob::throttle()->ready()->read(4.0, 4.0, 4.0)->readIn(Pose::Left, 9.0);
        self::assertSame(
            [false, Pose::Left],
            [$job->state->judgement->isRoutingFault, $job->state->judgement->poseInDoubt],
        );
        self::assertSame(PlanKind::Read, $job->state->next()->kind);
        self::assertSame(
            'Read it again with bars full left before anything is turned: one reading may be misread.',
            $job->state->next()->sentence,
        );
        $job->readIn(Pose::Left, 9.0);
        self::assertSame(PlanKind::RoutingFault, $job->state->next()->kind, 'read twice, it is one');
    }

    public function test_the_pose_that_is_asked_for_is_the_one_that_is_in_doubt(): void
    {
        $job = TestJob::throttle()->ready()->read(4.0, 4.0, 4.0);
        foreach ([[Pose::Left, 0.5], [Pose::Right, 5.9]] as [$pose, $mm]) {
            $job->readIn($pose, $mm);
            self::assertSame(
                "Read it again with {$pose->label()} before anything is turned: one reading may be misread.",
                $job->state->next()->sentence,
            );
            $item = $job->state->progress->item("pose:{$pose->value}");
            self::assertSame(
                [false, false],
                [$item?->done, $item?->failed],
                'asked for again, also where it stands inside by itself',
            );
            $job->readIn($pose, $mm);
        }
        self::assertSame(PlanKind::RoutingFault, $job->state->next()->kind);
    }

    public function test_where_nothing_is_found_at_the_route_it_is_read_anew_and_a_misread_pose_is_forgotten(): void
    {
        $job = TestJob::throttle()->ready();
        self::assertStringStartsWith(
            'The bench names nothing to be looked at now.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->line('nothing found')),
        );
        $job->read(4.0, 4.0, 4.0)->readIn(Pose::Left, 9.0)->readIn(Pose::Left, 9.0);
        self::assertSame(PlanKind::RoutingFault, $job->state->next()->kind);
        $job->line('Nothing found');
        self::assertSame(
            'Nothing was found: pull it fully three times and read it anew',
            $job->state->judgement->now->sentence,
        );
        self::assertSame([], $job->state->facts->observations->putRight, 'nothing was put right');
        $rows = LogRows::of($job->state);
        self::assertSame('Looked, nothing found: it is read anew', $rows[count($rows) - 1]['what']);
        $job->read(4.0, 4.0, 4.0)->readIn(Pose::Left, 4.1)->readIn(Pose::Right, 3.9);
        self::assertSame(PlanKind::Prove, $job->state->next()->kind, 'the first reading of it was misread');
        self::assertTrue($job->state->progress->item('pose:left')?->done);
    }

    public function test_what_reads_so_again_after_nothing_was_found_is_replaced_or_tagged(): void
    {
        $job = TestJob::throttle()->ready();
        foreach ([false, true] as $isLookedAt) {
            $job->read(4.0, 4.0, 4.0)->readIn(Pose::Left, 9.0, 9.0);
            self::assertSame(PlanKind::RoutingFault, $job->state->next()->kind);
            self::assertSame(
                $isLookedAt,
                str_ends_with(
                    $job->state->next()->sentence,
                    'It was looked at before, nothing was found, and it reads so again: replace the cable, or hang the tag.',
                ),
            );
            self::assertSame($isLookedAt, $job->state->next()->isLookedAt);
            $job = $isLookedAt ? $job : $job->entry('nothing_found', []);
        }
        $job->entry('put_right', ['cure' => Cure::Route->value])->read(4.0, 4.0, 4.0)->readIn(Pose::Left, 9.0, 9.0);
        self::assertStringEndsNotWith(
            'hang the tag.',
            $job->state->next()->sentence,
            'another route is another matter',
        );
    }

    public function test_a_route_that_was_put_right_is_not_blamed_any_more(): void
    {
        $job = TestJob::throttle()->ready()->read(4.0, 4.0, 4.0)->readIn(Pose::Left, 9.0)->readIn(Pose::Left, 9.0);
        self::assertSame(PlanKind::RoutingFault, $job->state->next()->kind);
        $job->entry('put_right', ['cure' => Cure::Route->value])->read(4.0, 4.0, 4.0);
        self::assertFalse($job->state->judgement->isRoutingFault, 'what poses differed by was of the old route');
        self::assertNotSame(PlanKind::RoutingFault, $job->state->next()->kind);
    }

    /**
     * A barrel far out of its zone, that nothing can take over from at once, was turned home by a flat at a time, each
     * locked and read anew.
     */
    public function test_for_a_flat_nothing_is_loosened_again(): void
    {
        $job = DrawnJob::of(FamilyKey::TwistGrip, new SeededChance(91), 0.6, true);
        $worked = HonestHand::work($job->spec, $job->run, $job->control, $job->found->at, $job->instrument);
        self::assertSame(JobEnd::Fit, $worked->end);
        self::assertLessThanOrEqual(12, $worked->moves);
    }

    public function test_one_reading_blames_no_part(): void
    {
        $job = TestJob::clutch(standing: TestJob::standing(['perch' => 2.4, 'bracket' => 11.0]))->ready()->read(60.0);
        self::assertSame(
            [
                PlanKind::Read,
                'By this one reading nothing here reaches its band. Read it once more before a part is blamed.',
            ],
            [$job->state->next()->kind, $job->state->next()->sentence],
        );
        self::assertSame(PlanKind::OutOfThread, $job->read(60.0)->state->next()->kind);
    }

    public function test_a_pose_that_is_outside_is_turned_for_though_straight_was_left_as_it_reads(): void
    {
        $job = TestJob::throttle()->ready();
        $job->instrument = 'rule';
        $job->read(5.5, 5.5, 5.5, 6.0)->readIn(Pose::Left, 7.5, 7.5);
        self::assertTrue($job->state->judgement->now->mayBeLeft());
        $job->entry('enough', ['point' => 'grip_flange', 'pose' => 'straight']);
        self::assertSame(PlanKind::Move, $job->state->next()->kind);
    }

    public function test_so_many_turns_are_enough_until_something_is_put_right(): void
    {
        $isTooLong = static fn (TestJob $job): bool => Swinging::of($job->state->run, $job->state->facts)->isTooLong();
        $job = TestJob::clutch()->ready()->read(25.0, 25.0);
        $job->adjuster = 'bracket';
        for ($n = 0; $n < 14; $n++) {
            self::assertFalse($isTooLong($job), "after {$n}");
            $job->line($n % 2 === 0 ? '+1f' : '-1f', 'in_band')->read(25.0, 25.0);
        }
        self::assertTrue($isTooLong($job));
        $job->entry('put_right', ['cure' => 'other', 'remark' => 'the ferrule was loose'])->read(25.0, 25.0);
        self::assertFalse($isTooLong($job), 'what was turned before counts no more');
    }

    /** What is put together here once went to and fro without end, or stood still. */
    public function test_a_fault_that_looks_like_slack_is_suspected_after_a_few_moves(): void
    {
        foreach ([
            [FamilyKey::PedalThrottle, 17],
            [FamilyKey::TriggerThrottle, 7],
            [FamilyKey::EngageByPull, 15],
            [FamilyKey::TwistGrip, 10],
            [FamilyKey::ClutchLever, 6],
        ] as [$family, $seed]) {
            $job = DrawnJob::of($family, new SeededChance($seed));
            $worked = HonestHand::work($job->spec, $job->run, $job->control, $job->found->at, $job->instrument);
            self::assertSame(JobEnd::Fit, $worked->end, "{$family->value}, {$seed}: {$worked->why}");
            self::assertLessThanOrEqual(10, $worked->moves, $family->value);
            self::assertFalse($job->control->isUnsafe());
        }
    }
}
