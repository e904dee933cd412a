<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Facts;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\BenchLine;
use VividPull\Core\Bench\Shown;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Facts\Refit;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Judging\GateStatus;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Planning\GovernorAdvice;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\JobStage;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Running;
use VividPull\Core\Procedure\Step;
use VividPull\Core\Progress\Answer;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Tests\Support\WellDone;
use VividPull\Core\Wire\ClosingRecord;
use VividPull\Core\Wire\StateCodec;

/** Never a false or unsafe word: what is put back before anything runs, and what is never signed away. */
final class RefitTest extends TestCase
{
    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_in_every_family_what_runs_the_machine_comes_after_the_refit_and_not_before(FamilyKey $key): void
    {
        $job = FamilyJob::of($key)->triedByHand();
        $refit = array_map(static fn (Step $step): string => $step->key, Families::of($key)->refit());
        $runs = self::running($job);
        $keys = array_map(static fn (StageItem $item): string => $item->key, $job->state->progress->items['prove']);
        $first = min([
            count($keys),
            ...array_keys(array_filter($keys, static fn (string $item): bool => in_array($item, $runs, true))),
        ]);
        self::assertSame($runs !== [], Refit::of($job->state->spec, $job->state->run, $job->state->facts)->isAsked());
        self::assertSame(
            [],
            array_diff($runs === [] ? [] : $refit, array_slice($keys, 0, $first)),
            'all of the refit before the first that runs',
        );
        foreach (array_filter(
            $job->state->progress->items['prove'],
            static fn (StageItem $item): bool => in_array($item->key, $runs, true),
        ) as $item) {
            self::assertNotNull($item->caution, "{$item->label} has its caution");
            if ($refit !== [] && str_starts_with($item->key, 'check:') && ! self::proof($job, $item)->asFound) {
                self::assertStringStartsWith(
                    'This runs the machine. Put back first what was taken off:',
                    $job->refusal(static fn (TestJob $one): TestJob => $one->answer($item->answers[0])),
                    $item->label,
                );
            }
        }
    }

    #[DataProvider('families')]
    public function test_whatever_runs_says_to_do_it_outdoors(FamilyKey $key): void
    {
        $job = FamilyJob::of($key);
        self::assertNotSame([], Families::of($key)->cautions(JobStage::Prove));
        foreach (Families::of($job->state->spec->family)->proofs($job->state->run) as $proof) {
            if ($proof->running->runs()) {
                self::assertMatchesRegularExpression(
                    '/carbon monoxide|licensed rider/i',
                    (string) $proof->caution,
                    $proof->question,
                );
            }
        }
        foreach (Families::of($key)->measures($job->state->spec) as $measure) {
            self::assertSame(
                $measure->running->runs(),
                str_contains((string) $measure->caution, 'utdoors'),
                $measure->key->label(),
            );
        }
    }

    public function test_an_open_cover_stops_a_running_test_also_as_found(): void
    {
        $job = FamilyJob::of(FamilyKey::SpeedSelector)->entry('cover', ['adjuster' => 'barrel', 'off' => true]);
        self::assertSame(
            'This runs the machine. Put back first what was taken off: Belt cover back on.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'check',
                ['key' => 'neutral_still', 'answer' => 'yes'],
            )),
        );
        $job
            ->entry('cover', ['adjuster' => 'barrel', 'off' => false])
            ->entry('check', ['key' => 'neutral_still', 'answer' => 'yes']);
        self::assertSame(
            'yes',
            $job->state->facts->answers->foundChecks['neutral_still']->answer ?? null,
            'found before anything was taken apart',
        );
    }

    public function test_a_move_after_the_refit_asks_for_it_again(): void
    {
        $job = TestJob::clutch()->ready()->read(15, 15, 15)->line('yes')->line('yes')->refit();
        self::assertSame('Done', self::item($job, 'refitted')->said);
        $job->line('+1f', 'in_band');
        self::assertNull(self::item($job, 'refitted')->said);
    }

    public function test_a_grip_is_proved_in_three_poses_whatever_its_spec_says(): void
    {
        $job = TestJob::throttle(['conditions' => ['poses' => null]]);
        self::assertSame([Pose::Straight, Pose::Left, Pose::Right], $job->state->spec->conditions->poses);
        $job->ready()->read(4, 4, 4);
        $gate = self::gate($job, GateKey::NotTaut);
        self::assertSame(
            [GateStatus::Unknown, 'Not read since the last move or lock: bars full left, bars full right.'],
            [$gate->status, $gate->sentence],
        );
    }

    public function test_boots_of_a_grip_stay_open_until_it_was_swept(): void
    {
        $job = TestJob::throttle()->entry('cover', ['adjuster' => 'grip', 'off' => true])->ready();
        $job->read(4, 4, 4)->readIn(Pose::Left, 4, 4, 4)->readIn(Pose::Right, 4, 4, 4);
        foreach (['straight', 'left', 'right'] as $pose) {
            $job->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => $pose]);
        }
        $job
            ->entry('check', ['key' => 'wire_in_groove', 'answer' => 'yes'])
            ->entry('check', ['key' => 'idle_steady', 'answer' => 'yes']);
        self::assertSame('cover:grip', self::asked($job));
    }

    /** @return iterable<string, array{string, string}> */
    public static function failing(): iterable
    {
        yield 'an arm that is not free at rest' => [
            'arm_loose',
            'The release arm is not free at rest: the clutch is held partly open.',
        ];
        yield 'creep with the lever in' => ['no_creep', 'It creeps with the lever in.'];
    }

    #[DataProvider('failing')]
    public function test_a_failed_proof_is_never_left_by_choice(string $proof, string $sentence): void
    {
        $job = TestJob::clutch()->ready()->read(22, 22, 22)->entry('by_choice', ['reason' => 'Thick gloves.'])->refit();
        foreach ([
            'arm_loose' => 'yes',
            'wiggle_still' => 'yes',
            'no_creep' => 'yes',
            'no_slip' => 'holds',
            'bite' => 'late',
        ] as $key => $answer) {
            $job->entry('check', ['key' => $key, 'answer' => $key === $proof ? 'no' : $answer]);
        }
        $job->line('ok', 'restored');
        self::assertContains($sentence, $job->state->progress->blocks(ClosingOutcome::ByChoice));
        $refusal = static fn (string $outcome): string => $job->refusal(
            static fn (TestJob $one): TestJob => $one->entry('closed', ['outcome' => $outcome]),
        );
        self::assertStringContainsString($sentence, $refusal('by_choice'));
        self::assertStringContainsString($sentence, $refusal('fit'));
        $job->entry('check', ['key' => $proof, 'answer' => 'yes']);
        self::assertSame(
            [],
            $job->state->progress->blocks(ClosingOutcome::ByChoice),
            'mended and tried again, it may be',
        );
    }

    public function test_a_clutch_that_slips_is_never_left_by_choice_and_a_late_bite_may_be(): void
    {
        $job = TestJob::clutch()
            ->ready()
            ->read(22, 22, 22)
            ->entry('by_choice', ['reason' => 'Thick gloves.'])
            ->line('yes')
            ->line('yes')
            ->refit();
        $job->line('yes')->line('slips')->line('early', 'check:bite')->line('ok', 'restored');
        self::assertSame(
            [
                'Set: put right what failed is missing.',
                'Prove: lever out, in a high gear against the brake, or under load: does it hold? failed.',
            ],
            $job->state->progress->blocks(ClosingOutcome::ByChoice),
        );
    }

    public function test_a_worn_plate_is_a_gate(): void
    {
        // Common practice, no source: friction plates at least 2.85 mm.
        $job = TestJob::clutch(['others' => [[
            'kind' => 'pack', 'friction_plates' => 2, 'steel_plates' => 0, 'springs' => 0, 'friction_min_mm' => 2.85,
            'spring_min_mm' => null, 'bolts' => 5, 'bolt_nm' => 9.5,
        ]]]);
        self::assertSame(
            [],
            array_filter(
                $job->state->judgement->gates,
                static fn (GateState $one): bool => $one->gate->key === GateKey::PackSound,
            ),
            'not opened, nothing said',
        );
        foreach ([1, 2, 3, 4] as $place) {
            $job->entry('measure', ['key' => 'friction_plate', 'value' => 2.5, 'entered' => '2.5', 'of' => '1']);
        }
        self::assertSame(GateStatus::Failed, self::gate($job, GateKey::PackSound)->status);
        self::assertStringContainsString(
            'At or past the limit: friction plate 1',
            implode(' ', $job->state->progress->blocks(ClosingOutcome::Fit)),
        );
        $job->entry('part', ['part' => 'plates']);
        self::assertSame(GateStatus::Passed, self::gate($job, GateKey::PackSound)->status, 'new plates are in');
        self::assertSame('Plates and springs: not measured', self::gate($job, GateKey::PackSound)->sentence);
        $job->entry('measure', ['key' => 'friction_plate', 'value' => 3.1, 'entered' => '3.1', 'of' => '1']);
        self::assertSame(
            'Plates and springs: good so far; 1 still to measure.',
            self::gate($job, GateKey::PackSound)->sentence,
            'what was not measured is not said to be good',
        );
    }

    public function test_a_plate_that_was_picked_takes_what_is_typed_and_no_lever_reading_comes_of_it(): void
    {
        $job = TestJob::clutch(['others' => [[
            'kind' => 'pack', 'friction_plates' => 2, 'steel_plates' => 0, 'springs' => 0, 'friction_min_mm' => 2.85,
            'spring_min_mm' => null, 'bolts' => 5, 'bolt_nm' => 9.5,
        ]]])->ready();
        $shown = new Shown(null, null, null, null, null, 'reading:found', measure: MeasureKey::FrictionPlate, of: '2');
        $draft = BenchLine::read('2.91', $shown, $job->state, $job->person);
        self::assertSame(
            [EntryKind::Measure, ['key' => 'friction_plate', 'value' => 2.91, 'entered' => '2.91', 'of' => '2']],
            [$draft->kind, $draft->body],
        );
    }

    public function test_a_size_typed_while_the_machine_is_looked_over_is_asked_about_and_not_stored(): void
    {
        $job = TestJob::clutch();
        self::assertSame('engine_off', self::asked($job));
        self::assertSame(
            'Read 1/2 in, but “Engine off, key out” is asked now. Nothing was logged. Answer that, or turn to the reading and type it there.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->line('1/2 in', 'engine_off')),
        );
    }

    public function test_an_answer_is_typed_by_its_own_words_and_no_word_of_the_wire_is_needed(): void
    {
        $job = FamilyJob::of(FamilyKey::Bail)->triedByHand()->refit();
        $item = self::item($job, 'check:stops');
        self::assertSame(
            ['engine', 'blade', 'the blade'],
            array_map(static fn (Answer $one): string => $one->hint($item->answers), $item->answers),
        );
        $job->line('engine and blade', 'check:stops');
        self::assertSame('engine_stops', $job->state->facts->answers->checks['stops']->answer);
    }

    public function test_as_found_is_what_was_found_and_the_job_goes_on_without_it(): void
    {
        $job = TestJob::clutch();
        while (self::asked($job) !== 'reading:found') {
            $job->line(self::asked($job) === 'condition' ? 'cold' : 'ok');
        }
        $job
            ->entry('replacing', ['key' => 'begin', 'reason' => 'frayed'])
            ->entry('replacing', ['key' => 'note', 'remark' => 'left of the frame'])
            ->entry('replacing', ['key' => 'slack']);
        $job->entry('compared', ['old_wire_mm' => 84, 'new_wire_mm' => 84, 'ends_alike' => true]);
        while (self::asked($job) !== 'replace:fitted') {
            $job->line('ok');
        }
        self::assertSame(
            0,
            $job->state->facts->adjusters->positions['perch']->count ?? null,
            'at full slack a thread stands at its end, and no plan goes by the old one',
        );
        $job->entry('part', ['part' => 'cable', 'remark' => 'TR-330-A'])->line('ok', 'wire')->line('ok', 'conduit');
        self::assertSame('Not to be had: it was changed before it was read', self::item($job, 'reading:found')->said);
        self::assertSame('in_band', self::asked($job));
    }

    public function test_a_fault_is_mended_or_left_with_its_reason_and_the_sheet_and_the_next_job_say_so(): void
    {
        $job = TestJob::clutch()->ready()->line('fault bracket bent', 'arm')->read(15, 15, 15);
        self::assertSame('fault:arm', self::asked($job));
        self::assertContains(
            'Set: put right: Release arm and bracket is open: mended, or left with a reason.',
            $job->state->progress->blocks(ClosingOutcome::Fit),
        );
        self::assertSame(
            'A fault is left only with a reason. Say why, such as: noted small dent, wire runs free.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->line('left')),
        );
        $left = clone $job;
        $left->line('left dented only, wire runs free');
        self::assertNull($left->state->progress->item('fault:arm'), 'left, it is asked no more');
        self::assertSame(
            ['Release arm and bracket: dented only, wire runs free'],
            ClosingRecord::of($left->state)['left_faults'],
        );
        $job->line('mended straightened', 'fault:arm');
        self::assertSame('Sound: straightened', self::item($job, 'arm')->said);
        self::assertSame('in_band', self::asked($job), 'what was read before it was mended no longer compares');
        $next = TestJob::clutch(standing: ['left' => [
            'by_choice' => 'Thick gloves.',
            'faults' => ['Release arm and bracket: dented only'],
            'at' => '2026-03-01T10:00:00+00:00',
            'by' => 'Ines',
        ]]);
        self::assertContains(
            'Left outside its band by choice on 2026-03-01 by Ines: Thick gloves.',
            StateCodec::encode($next->state)['warnings'],
        );
        self::assertContains(
            'A fault was left on 2026-03-01 by Ines: Release arm and bracket: dented only',
            StateCodec::encode($next->state)['warnings'],
        );
    }

    public function test_what_was_seen_or_measured_before_a_fault_was_mended_says_nothing_after_it(): void
    {
        $job = FamilyJob::of(FamilyKey::SlidingDrive)
            ->entry('inspected', ['key' => 'belt', 'finding' => 'fault', 'remark' => 'stretched'])
            ->entry('outcome', ['setting' => 'drive', 'saw' => 'right']);
        self::assertSame(['drive' => 'right'], $job->state->judgement->table?->now);
        $job->entry('inspected', ['key' => 'belt', 'finding' => 'sound', 'remark' => 'a new one']);
        self::assertSame([], $job->state->judgement->table->now);
        $bail = FamilyJob::of(FamilyKey::Bail)
            ->triedByHand()
            ->refit()
            ->entry('inspected', ['key' => 'peg', 'finding' => 'fault', 'remark' => 'broken'])
            ->entry('measure', ['key' => 'blade_stop', 'value' => 2.0, 'entered' => '2']);
        $bail->entry('inspected', ['key' => 'peg', 'finding' => 'sound', 'remark' => 'a new one']);
        self::assertNull($bail->state->judgement->measures[0]->found);
    }

    public function test_a_throttle_never_leaves_a_fault(): void
    {
        $job = TestJob::throttle()->entry(
            'inspected',
            ['key' => 'conduit', 'finding' => 'fault', 'remark' => 'strands out'],
        );
        self::assertSame('On this control a fault is not left by choice. Mend it, or tag the machine.',
            $job->refusal(static fn (TestJob $one): TestJob => $one->entry(
                'inspected',
                ['key' => 'conduit', 'finding' => 'noted', 'remark' => 'so'],
            )));
    }

    public function test_a_drive_released_by_its_pull_is_tested_as_one(): void
    {
        $job = FamilyJob::of(FamilyKey::ReleaseByPull);
        $keys = array_map(
            static fn (Proof $proof): string => $proof->key,
            Families::of(FamilyKey::ReleaseByPull)->proofs($job->state->run),
        );
        self::assertSame(
            ['stands_pulled', 'drives_released', 'under_load', 'springs_back'],
            $keys,
            'never asked to stand with the handle let go',
        );
        $job
            ->triedByHand()
            ->refit()
            ->entry('check', ['key' => 'drives_released', 'answer' => 'smoothly'])
            ->entry('check', ['key' => 'stands_pulled', 'answer' => 'yes']);
        self::assertSame(
            GateStatus::Passed,
            self::gate($job, GateKey::StillAtRest)->status,
            'the truth told tags no machine',
        );
        self::assertNull(Families::of(FamilyKey::ReleaseByPull)->starting()->practice, 'nobody has a figure');
        self::assertSame([], Families::of(FamilyKey::PedalThrottle)->starting()->aims, 'no invented wire either');
    }

    /** Tools are looked for last: whatever is done after that was said, it is asked again. */
    #[DataProvider('families')]
    public function test_in_every_family_tools_are_looked_for_again_after_whatever_is_done_to_it(FamilyKey $key): void
    {
        $closing = array_map(static fn (Step $step): string => $step->key, Families::of($key)->closing());
        self::assertContains('restored', $closing);
        foreach ([
            'a turn' => static fn (TestJob $job): TestJob => $job->entry(
                'move',
                ['adjuster' => 'barrel', 'flats' => 1],
            ),
            'a part' => static fn (TestJob $job): TestJob => $job->entry('part', ['part' => 'spring']),
            'a mend' => static fn (TestJob $job): TestJob => $job->entry('put_right', ['cure' => 'oiled']),
            'a cover that came off' => static fn (TestJob $job): TestJob => $job->entry(
                'cover',
                ['adjuster' => 'barrel', 'off' => true],
            ),
        ] as $what => $do) {
            $job = FamilyJob::of($key);
            foreach ($closing as $step) {
                $job->entry('confirmed', ['key' => $step]);
            }
            self::assertContains('restored', self::done($job), $what);
            $do($job);
            self::assertSame([], array_intersect($closing, self::done($job)), "after {$what}");
        }
    }

    public function test_a_cover_that_is_not_there_is_neither_taken_off_nor_put_back(): void
    {
        foreach ([true, false] as $off) {
            self::assertSame(
                'No cover lies over the perch barrel, as this control is drawn.',
                TestJob::clutch()->refusal(static fn (TestJob $job): TestJob => $job->entry(
                    'cover',
                    ['adjuster' => 'perch', 'off' => $off],
                )),
            );
        }
    }

    /** Whether or not a new cable followed: what was tried before this one was slack or off says nothing of it now. */
    public function test_a_cable_that_was_taken_off_is_proved_again_even_if_its_replacement_is_taken_back(): void
    {
        $job = TestJob::throttle()
            ->toReading()
            ->line('ground')
            ->readIn(Pose::Straight, 4.0, 4.0, 4.0)
            ->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'left']);
        $job->entry('replacing', ['key' => 'begin', 'reason' => 'frayed']);
        $begun = $job->last();
        self::assertArrayHasKey('snap_shut/left', $job->state->facts->answers->checks, 'nothing was touched yet');
        $job->entry('replacing', ['key' => 'note', 'remark' => 'left of the frame']);
        self::assertArrayHasKey('snap_shut/left', $job->state->facts->answers->checks);
        $job
            ->entry('replacing', ['key' => 'slack'])
            ->entry('void', ['entry' => $begun, 'reason' => 'the old one is good']);
        self::assertArrayNotHasKey('snap_shut/left', $job->state->facts->answers->checks);
        self::assertSame(
            GateStatus::Unknown,
            self::gate($job, GateKey::NotTaut)->status,
            'nor is what was read before',
        );
    }

    /** A tool that turns with its control released hurts somebody: it is tagged, whatever its figure says. */
    public function test_what_turns_with_its_control_released_is_only_ever_tagged(): void
    {
        foreach ([[FamilyKey::TriggerThrottle, 'idle_still', 'The head turns with the trigger released.'],
            [
                FamilyKey::SpeedSelector,
                'auger_still',
                'It drives in neutral, or something turns with the handles released.',
            ]] as [$key, $proof, $sentence]) {
            $job = FamilyJob::of($key)->triedByHand()->refit();
            self::assertSame('unknown', self::gate($job, GateKey::StillAtRest)->status->value, $proof);
            $job->entry('check', ['key' => $proof, 'answer' => 'no']);
            self::assertSame(
                "failed: {$sentence}",
                self::gate($job, GateKey::StillAtRest)->status->value.': '
                    .self::gate($job, GateKey::StillAtRest)->sentence,
            );
            self::assertContains($sentence, $job->state->progress->blocks(ClosingOutcome::Fit));
            self::assertContains($sentence, $job->state->progress->blocks(ClosingOutcome::ByChoice));
        }
    }

    /** @return iterable<string, array{TestJob}> */
    public static function notShownInside(): iterable
    {
        yield 'on an edge, where a rule cannot tell' => [TestJob::clutch()->ready()->read(9.5)];
        $hot = TestJob::clutch()->toReading()->entry('condition', ['engine' => 'hot']);
        yield 'read hot for a cold figure' => [$hot->read(15, 15, 15)];
    }

    /** What is chosen lets the band off: it never makes an *inside* of what nobody saw inside. */
    #[DataProvider('notShownInside')]
    public function test_what_is_left_by_choice_is_closed_as_that_and_never_as_fit(TestJob $job): void
    {
        $job->entry('by_choice', ['reason' => 'The rider wants it so.']);
        for ($n = 0; $n < 40 && ($asked = $job->state->progress->asks()) !== null && $asked->answers !== []; $n++) {
            $good = $job->right($asked);
            $job->answer($good[0]);
        }
        self::assertContains(
            'It is left outside by choice: close it as that.',
            $job->state->progress->blocks(ClosingOutcome::Fit),
        );
    }

    public function test_what_was_chosen_before_a_fault_was_mended_is_chosen_again(): void
    {
        $job = TestJob::clutch()
            ->entry('inspected', ['key' => 'arm', 'finding' => 'fault', 'remark' => 'bent'])
            ->entry('by_choice', ['reason' => 'The rider wants it so.']);
        self::assertNotNull($job->state->facts->chosen->byChoice);
        $job->entry('inspected', ['key' => 'arm', 'finding' => 'sound', 'remark' => 'straightened']);
        self::assertNull($job->state->facts->chosen->byChoice);
    }

    public function test_by_choice_and_then_seen_inside_it_may_be_fit_again(): void
    {
        $job = TestJob::clutch()->ready()->read(9.5);
        $misread = $job->last();
        $job
            ->entry('by_choice', ['reason' => 'The rider wants it so.'])
            ->entry('void', ['entry' => $misread, 'reason' => 'misread'])
            ->read(15, 15, 15);
        self::assertNotContains(
            'It is left outside by choice: close it as that.',
            $job->state->progress->blocks(ClosingOutcome::Fit),
        );
    }

    /** @return list<string> keys of what is done */
    private static function done(TestJob $job): array
    {
        return array_map(
            static fn (StageItem $item): string => $item->key,
            array_values(array_filter(
                array_merge(...array_values($job->state->progress->items)),
                static fn (StageItem $item): bool => $item->done,
            )),
        );
    }

    public function test_the_governor_waits_for_opening_closing_and_taking_off_and_voids_no_reading(): void
    {
        $job = self::pedal()->read(10, 10, 10)->triedByHand()->refit();
        $speed = static fn (): TestJob => $job->entry(
            'measure',
            ['key' => 'ground_speed', 'value' => 20, 'entered' => '20'],
        );
        $speed();
        $speed();
        $speed();
        self::assertSame(
            'The governor comes last. First: pedal fully down: the carburettor is wide open, and no more; how does it take off.',
            self::governor($job)->sentence,
        );
        $job
            ->entry('check', ['key' => 'wide_open', 'answer' => 'yes'])
            ->entry('check', ['key' => 'snap_shut', 'answer' => 'yes'])
            ->entry('check', ['key' => 'take_off', 'answer' => 'jerky']);
        self::assertSame('The governor comes last. First: how does it take off.', self::governor($job)->sentence);
        $job->entry('check', ['key' => 'take_off', 'answer' => 'smooth']);
        self::assertNotNull(self::governor($job)->steps);
        $before = $job->state->judgement->now->sentence;
        $job->adjuster = 'governor';
        $job->line('-1f', 'in_band')->entry('confirmed', ['key' => 'locked', 'adjuster' => 'governor']);
        self::assertSame($before, $job->state->judgement->now->sentence, 'no cable was moved');
        self::assertArrayHasKey('wide_open', $job->state->facts->answers->checks);
        self::assertNull($job->state->judgement->measures[1]->found, 'the speed is measured anew');
    }

    private static function asked(TestJob $job): ?string
    {
        return $job->state->progress->asks()?->key;
    }

    private static function item(TestJob $job, string $key): StageItem
    {
        return $job->state->progress->item($key) ?? self::fail($key);
    }

    private static function governor(TestJob $job): GovernorAdvice
    {
        return $job->state->governor() ?? self::fail('no governor');
    }

    private static function proof(TestJob $job, StageItem $item): Proof
    {
        foreach ($job->state->spec->proofs($job->state->run) as $proof) {
            if (str_starts_with($item->key, "check:{$proof->key}")) {
                return $proof;
            }
        }
        self::fail($item->key);
    }

    /** @return list<string> keys of the items that run the machine with its guards on */
    private static function running(TestJob $job): array
    {
        $family = Families::of($job->state->spec->family);
        $proofs = array_filter(
            $family->proofs($job->state->run),
            static fn (Proof $proof): bool => $proof->running === Running::Refitted,
        );
        $measures = array_filter(
            $family->measures($job->state->spec),
            static fn (Measure $measure): bool => $measure->running === Running::Refitted
                && $job->state->progress->item("measure:{$measure->key->value}") !== null,
        );

        return [
            ...array_values(array_map(static fn (Proof $proof): string => "check:{$proof->key}", $proofs)),
            ...array_values(array_map(
                static fn (Measure $measure): string => "measure:{$measure->key->value}",
                $measures,
            )),
        ];
    }

    private static function gate(TestJob $job, GateKey $key): GateState
    {
        foreach ($job->state->judgement->gates as $gate) {
            if ($gate->gate->key === $key) {
                return $gate;
            }
        }
        self::fail("no gate {$key->value}");
    }

    /** Settings that are tried with the machine running: the cover that was opened for a move is on again before. */
    public function test_a_cover_is_back_before_a_setting_is_tried(): void
    {
        $job = FamilyJob::of(FamilyKey::SlidingDrive);
        WellDone::upToTheSignature($job, '10', static fn (StageItem $one): bool => $one->topic() !== ItemTopic::Outcome);
        $asks = static fn (): ?string => $job->state->progress->asks()?->key;
        self::assertSame('found:outcome:drive', $asks());
        $job->entry('cover', ['adjuster' => 'barrel', 'off' => true]);
        self::assertSame('cover:barrel', $asks(), 'opened too soon');
        $job->entry('cover', ['adjuster' => 'barrel', 'off' => false]);
        $job->entry('outcome', ['setting' => 'drive', 'saw' => 'slow']);
        $job->entry('cover', ['adjuster' => 'barrel', 'off' => true])->entry('move', ['adjuster' => 'barrel', 'turns' => 1]);
        $job->entry('confirmed', ['key' => 'locked', 'adjuster' => 'barrel']);
        $job->line('4 mm', 'thread:barrel');
        self::assertSame('cover:barrel', $asks());
        $job->line('ok', 'cover:barrel');
        self::assertSame('try:drive', $asks());
    }

    private static function pedal(): TestJob
    {
        return TestJob::of([
            'family' => 'pedal_throttle',
            'aim' => ['kind' => 'free_play_band', 'point' => 'handle_travel', 'low_mm' => 6, 'high_mm' => 14],
            'others' => [['kind' => 'speed_ceiling', 'at_most_kmh' => 25.7, 'tyre_mm' => 457, 'usual_kmh' => 24]],
        ], [
            'hand' => ['kind' => 'pedal', 'name' => 'Throttle pedal', 'knowledge' => 'default'],
            'cables' => [['id' => 'primary', 'name' => 'Primary', 'adjusters' => [
                [
                    'id' => 'nuts',
                    'name' => 'bracket nuts',
                    'kind' => 'bracket_nuts',
                    'thread' => 'M6',
                    'travel_mm' => 12,
                ],
                [
                    'id' => 'governor',
                    'name' => 'governor nut',
                    'kind' => 'governor_nut',
                    'thread' => 'M6',
                    'travel_mm' => 30,
                ],
            ]]],
            'working_end' => 'carburettor',
        ], ['nuts' => 4.0, 'governor' => 20.0])->ready();
    }
}
