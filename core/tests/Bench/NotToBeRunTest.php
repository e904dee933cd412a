<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\OtherControl;
use VividPull\Core\Bench\RunsTheMachine;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Family\Families;
use VividPull\Core\Planning\PlanKind;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Progress\ItemKind;
use VividPull\Core\Progress\ItemTopic;
use VividPull\Core\Progress\StageItem;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Tests\Support\Walk;
use VividPull\Core\Tests\Support\WellDone;

/**
 * What was found wrong with the machine at rest is put right before anything is set or run with it. Common practice, no
 * source.
 */
final class NotToBeRunTest extends TestCase
{
    /** @return iterable<string, array{FamilyKey, string}> each with the part that nobody may use once it is damaged */
    public static function withAWire(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            foreach (Families::of($key)->lookOver() as $part) {
                if ($part->gate !== null) {
                    yield "{$key->value}, {$part->key}" => [$key, $part->key];
                }
            }
        }
    }

    #[DataProvider('withAWire')]
    public function test_a_damaged_wire_is_replaced_or_tagged_before_anything_else(FamilyKey $key, string $part): void
    {
        $job = self::lookedOver($key, $part);
        $asked = $job->state->progress->asks() ?? self::fail('nothing is asked');
        self::assertSame("fault:{$part}", $asked->key);
        self::assertStringContainsString(
            'Replace it, or tag the machine: nothing is set or run with it.',
            (string) $asked->detail,
        );
        self::assertSame(['mended'], array_column($asked->answers, 'word'));
        self::assertSame([], self::ranUntilSigned($job, $part), 'nothing that runs is asked');
        self::assertFalse(RunsTheMachine::asked($job->state));
    }

    #[DataProvider('withAWire')]
    public function test_replaced_the_job_goes_on_to_its_signature(FamilyKey $key, string $part): void
    {
        $job = self::lookedOver($key, $part)->line('mended a new one fitted', "fault:{$part}");
        self::assertNull($job->state->progress->item("fault:{$part}"));
        $ran = self::ranUntilSigned($job, '');
        self::assertSame(ItemKind::SignOff, $job->state->progress->asks()?->kind, $key->value);
        self::assertSame($key !== FamilyKey::ModeCables, $ran !== [], 'of an arm nothing is tried but by hand');
    }

    #[DataProvider('withAWire')]
    public function test_what_nobody_may_use_is_not_left_by_choice(FamilyKey $key, string $part): void
    {
        $job = self::lookedOver($key, $part);
        $isFor = Families::of($key)->allowsByChoice()
            ? 'What nobody may use is not left by choice. Replace it, or tag the machine. Where the fault was noted by mistake, take that back.'
            : 'On this control a fault is not left by choice. Mend it, or tag the machine.';
        self::assertSame(
            $isFor,
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'inspected',
                ['key' => $part, 'finding' => 'noted', 'remark' => 'only one strand'],
            )),
        );
        $fault = $job->state->facts->answers->inspected[$part]->stamp->id ?? self::fail();
        $job->entry('void', ['entry' => $fault, 'reason' => 'a hair']);
        self::assertNull($job->state->progress->item("fault:{$part}"));
        self::assertSame($part, $job->state->progress->asks()?->key, 'it is looked at again');
    }

    public function test_a_throttle_that_does_not_snap_shut_is_not_started(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 4, 4)->readIn(Pose::Right, 4, 4);
        $steady = ['key' => 'idle_steady', 'answer' => 'yes'];
        foreach (['straight', 'right'] as $pose) {
            $job->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => $pose]);
        }
        $job
            ->entry('check', ['key' => 'wire_in_groove', 'answer' => 'yes'])
            ->entry('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'left']);
        $refusal = $job->refusal(static fn (TestJob $job): TestJob => $job->entry('check', $steady));
        self::assertStringContainsString(
            'This runs the machine, and it is not to be run. Put this right first, or tag it:',
            $refusal,
        );
        self::assertStringContainsString('Throttle does not snap shut, bars full left.', $refusal);
        self::assertNotSame('check:idle_steady', $job->state->progress->asks()?->key);
        $job->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'left']);
        self::assertSame('check:idle_steady', $job->state->progress->asks()?->key);
        $job->entry('check', $steady);
        self::assertNotNull($job->state->facts->answers->checks['idle_steady'] ?? null);
    }

    public function test_a_throttle_taut_with_the_bars_turned_is_not_run_to_see_its_idle(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 0, 0)->readIn(Pose::Right, 4, 4);
        foreach (['straight', 'left', 'right'] as $pose) {
            $job->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => $pose]);
        }
        $job->entry('check', ['key' => 'wire_in_groove', 'answer' => 'yes']);
        self::assertNotSame(
            'check:idle_steady',
            $job->state->progress->asks()?->key,
            'the pose that is taut is asked for first',
        );
        self::assertStringContainsString(
            'can hold the throttle open',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'check',
                ['key' => 'idle_steady', 'answer' => 'yes'],
            )),
        );
    }

    public function test_a_pose_read_outside_is_set_before_anything_is_tried(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 1.2, 1.2);
        self::assertSame(['pose:right', false], self::asked($job), 'all poses are read first');
        $job->readIn(Pose::Right, 4, 4);
        self::assertSame(['pose:left', true], self::asked($job));
        self::assertSame(
            PlanKind::Move,
            $job->state->next()->kind,
            'it is turned, and what was tried before that would be tried anew',
        );
        $right = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 4, 4)->readIn(Pose::Right, 4, 4);
        self::assertSame(['check:snap_shut/straight', false], self::asked($right));
    }

    public function test_blades_are_not_started_before_their_brake_was_seen_to_come_on(): void
    {
        $job = FamilyJob::of(FamilyKey::Bail)->toReading();
        foreach (['guards', 'spark_lead'] as $key) {
            $job->entry('confirmed', ['key' => $key]);
        }
        $tries = static fn (TestJob $job): TestJob => $job->entry(
            'check',
            ['key' => 'stops', 'answer' => 'engine_stops'],
        );
        self::assertSame(
            'This runs the machine. First, with the engine off: Brake on when released: not tried yet: Bail released: the brake is on.',
            $job->refusal($tries),
        );
        self::assertStringContainsString(
            'First, with the engine off: Brake on',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'measure',
                ['key' => 'blade_stop', 'value' => 1.5, 'entered' => '1.5 s'],
            )),
        );
        self::assertNotNull(
            $tries($job->entry(
                'check',
                ['key' => 'brake_on', 'answer' => 'yes'],
            ))->state->facts->answers->checks['stops']
                ?? null,
        );
    }

    public function test_blades_are_not_started_while_their_brake_stays_off(): void
    {
        $job = FamilyJob::of(FamilyKey::Bail)->toReading();
        foreach (['brake_off' => 'yes', 'contact_open' => 'yes', 'brake_on' => 'no'] as $key => $answer) {
            $job->entry('check', ['key' => $key, 'answer' => $answer]);
        }
        foreach (['guards', 'spark_lead'] as $key) {
            $job->entry('confirmed', ['key' => $key]);
        }
        self::assertStringContainsString(
            'The brake does not come on.',
            $job->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'check',
                ['key' => 'stops', 'answer' => 'engine_stops'],
            )),
        );
    }

    public function test_a_throttle_is_let_go_of_at_rest_before_it_is_run(): void
    {
        $job = TestJob::throttle()->ready()->read(4, 4, 4)->readIn(Pose::Left, 4, 4)->readIn(Pose::Right, 4, 4);
        foreach (['straight', 'left'] as $pose) {
            $job->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => $pose]);
        }
        $tries = static fn (TestJob $job): TestJob => $job->entry('check', ['key' => 'idle_steady', 'answer' => 'yes']);
        self::assertSame(
            'Not before what is tried with the engine off. Outdoors: carbon monoxide kills. In neutral, brake set, nobody in front.',
            $job->state->progress->item('check:idle_steady')?->caution,
        );
        self::assertSame(
            'This runs the machine. First, with the engine off: Snaps shut in every pose: not tried yet: bars full right. Wire in its groove: not tried yet: Wire lies in its groove on the drum.',
            $job->refusal($tries),
        );
        $job
            ->entry('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'right'])
            ->entry('check', ['key' => 'wire_in_groove', 'answer' => 'yes']);
        self::assertStringStartsNotWith('Not before', $job->state->progress->item('check:idle_steady')->caution ?? '');
        self::assertNotNull($tries($job)->state->facts->answers->checks['idle_steady'] ?? null);

        $job->line('+1f', 'in_band');
        self::assertStringContainsString(
            'First, with the engine off: Snaps shut in every pose: not tried yet: bars straight, bars full left, bars full right.',
            $job->refusal($tries),
        );
    }

    /** @return iterable<string, array{FamilyKey}> */
    public static function triedByHand(): iterable
    {
        foreach ([FamilyKey::TwistGrip, FamilyKey::TriggerThrottle, FamilyKey::PedalThrottle] as $key) {
            yield $key->value => [$key];
        }
    }

    /** Whoever begins with what runs is told what comes first, of every control that has something tried by hand. */
    #[DataProvider('triedByHand')]
    public function test_nothing_is_run_before_what_is_tried_by_hand(FamilyKey $key): void
    {
        $job = FamilyJob::of($key);
        WellDone::upToTheSignature(
            $job,
            '10',
            static fn (StageItem $item): bool => $item->topic() !== ItemTopic::Check,
        );
        self::assertSame(ItemTopic::Check, $job->state->progress->asks()?->topic());
        $ran = 0;
        foreach ($job->state->facts->proofs($job->state->spec, $job->state->run) as $proof) {
            if (! $proof->running->runs()) {
                continue;
            }
            $pose = $proof->tries()[0];
            $body = ['key' => $proof->key, 'answer' => array_key_first($proof->answers->words)]
                + ($pose === null ? [] : ['pose' => $pose->value]);
            self::assertStringStartsWith(
                'This runs the machine. First, with the engine off: ',
                $job->refusal(static fn (TestJob $job): TestJob => $job->entry('check', $body)),
                $proof->key,
            );
            $ran++;
        }
        self::assertGreaterThan(0, $ran, $key->value);
    }

    /**
     * @return iterable<string, array{FamilyKey, string, string}> each answer that tells what went wrong while it ran
     */
    public static function wentWrong(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            $job = FamilyJob::of($key);
            foreach ($job->state->facts->proofs($job->state->spec, $job->state->run) as $proof) {
                foreach ($proof->running->runs() ? array_keys($proof->answers->words) : [] as $word) {
                    if (! $proof->answers->passes($word) && ! $proof->answers->tolerates($word)) {
                        yield "{$key->value}, {$proof->key}: {$word}" => [$key, $proof->key, $word];
                    }
                }
            }
        }
    }

    /**
     * It was run too soon, and something went wrong: that is kept, the control is not fit, and the job goes on from
     * there.
     */
    #[DataProvider('wentWrong')]
    public function test_what_went_wrong_is_kept_whenever_it_was_seen(FamilyKey $key, string $proof, string $word): void
    {
        $job = FamilyJob::of($key);
        $job->entry('check', ['key' => $proof, 'answer' => $word]);
        $failed = array_filter(
            array_merge(...array_values($job->state->progress->items)),
            static fn (StageItem $one): bool => $one->failed && str_ends_with($one->key, ":{$proof}"),
        );
        self::assertNotSame([], $failed);
        self::assertGreaterThan(0, Walk::through($job, 31, 40, "{$key->value} {$proof} {$word}"));
    }

    public function test_what_shows_only_while_it_runs_is_run_again(): void
    {
        $job = FamilyJob::of(FamilyKey::BrakePull)->toReading();
        $job->line('cold', 'condition')->read(10, 10, 10);
        foreach (['no_drag', 'springs_back'] as $key) {
            $job->entry('check', ['key' => $key, 'answer' => 'yes']);
        }
        $job->entry('confirmed', ['key' => 'refitted'])->entry('check', ['key' => 'holds', 'answer' => 'not']);
        self::assertContains('The brake does not hold.', $job->state->progress->blocksFit);
        $job->entry('check', ['key' => 'holds', 'answer' => 'before_end']);
        self::assertNotContains('The brake does not hold.', $job->state->progress->blocksFit);
    }

    public function test_what_drives_off_at_idle_is_not_raised_to_see_how_it_takes_hold(): void
    {
        $job = FamilyJob::of(FamilyKey::AutomaticClutch);
        WellDone::upToTheSignature(
            $job,
            '10',
            static fn (StageItem $item): bool => $item->key !== 'found:still_at_idle',
        );
        self::assertSame(
            'found:takes_hold',
            $job->entry('check', ['key' => 'still_at_idle', 'answer' => 'yes'])->state->progress->asks()?->key,
        );

        $unfit = FamilyJob::of(FamilyKey::AutomaticClutch);
        WellDone::upToTheSignature(
            $unfit,
            '10',
            static fn (StageItem $item): bool => $item->key !== 'found:still_at_idle',
        );
        $unfit->entry('check', ['key' => 'still_at_idle', 'answer' => 'no']);
        self::assertSame(
            'Not tried: it was not fit to be run',
            $unfit->state->progress->item('found:takes_hold')?->said,
        );
        self::assertSame('put_right', $unfit->state->progress->asks()?->key);

        $unfit->entry('put_right', ['cure' => 'spring']);
        self::assertContains('check:takes_hold', WellDone::upToTheSignature($unfit, '10'), 'put right, it is tried');
    }

    public function test_what_another_job_found_stops_it_too_and_everybody(): void
    {
        $brake = new OtherControl(
            'throttle grip',
            [],
            null,
            ['Throttle does not snap shut.', 'Throttle wire is damaged.'],
        );
        self::assertSame(
            'This runs the machine, and the job on its throttle grip found what is not to be run: Throttle does not snap shut. Throttle wire is damaged. Put it right there, or tag it.',
            $brake->failed(),
        );
        self::assertNull((new OtherControl('throttle grip', ['boot'], 'frayed'))->failed());
        $reported = new OtherControl('throttle grip', [], null, [], ['Does not snap shut', 'Idle rises']);
        self::assertSame(
            'This runs the machine, and of its throttle grip is reported: does not snap shut, idle rises. Look into that first.',
            $reported->reported(),
        );
        self::assertSame(['Of its throttle grip is reported: does not snap shut, idle rises.'], $reported->against());
        self::assertNull($brake->reported());
    }

    /** @return array{string|null, bool|null} its key, and whether it failed */
    private static function asked(TestJob $job): array
    {
        $item = $job->state->progress->asks();

        return [$item?->key, $item?->failed];
    }

    /** Made safe and looked over, with a fault in one part. */
    private static function lookedOver(FamilyKey $key, string $part): TestJob
    {
        $job = FamilyJob::of($key);
        $parts = array_map(static fn (Inspection $one): string => $one->key, Families::of($key)->lookOver());
        while (
            ($item = $job->state->progress->asks()) !== null
            && ($job->state->progress->stageOf($item->key)?->value === 'make_safe'
                || in_array($item->key, $parts, true))
        ) {
            $item->key === $part ? $job->line('fault strands broken', $part) : $job->line('ok', $item->key);
        }

        return $job;
    }

    /** @return list<string> keys of what ran, where everything but this fault is answered as it passes */
    private static function ranUntilSigned(TestJob $job, string $fault): array
    {
        $ran = [];
        WellDone::upToTheSignature($job, '10', static function (StageItem $item) use ($job, $fault, &$ran): bool {
            $ran = RunsTheMachine::asked($job->state) ? [...$ran, $item->key] : $ran;

            return $item->key !== "fault:{$fault}";
        });

        return $ran;
    }
}
