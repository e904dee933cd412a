<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Diagnosis\Check;
use VividPull\Core\Diagnosis\Evidence;
use VividPull\Core\Diagnosis\JobAnswer;
use VividPull\Core\Diagnosis\JobEvidence;
use VividPull\Core\Diagnosis\JobItemKind;
use VividPull\Core\Family\Families;
use VividPull\Core\Input\Node;
use VividPull\Core\Judging\GateState;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\GateKey;
use VividPull\Core\Procedure\OwnWords;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\TestJob;
use VividPull\Core\Wire\EntryCodec;

/** What a job knows is not asked again; what people say in their own words is matched to what they may mean. */
final class JobEvidenceTest extends TestCase
{
    public function test_a_job_tells_what_it_looked_at_and_read(): void
    {
        $evidence = self::of(TestJob::clutch()->ready()->read(4.0, 4.0, 4.0));

        self::assertSame(
            [Check::RIGHT, 'tight', Check::RIGHT, null],
            [
                $evidence->answer('wire'),
                $evidence->answer('play'),
                $evidence->answer('thread'),
                $evidence->answer('oil'),
            ],
        );
        self::assertSame([], self::of(TestJob::clutch())->seen['wire'] ?? [], 'nothing was looked at yet');
    }

    public function test_a_reading_near_an_edge_counts_for_its_chance(): void
    {
        $seen = self::of(TestJob::clutch()->ready()->read(10.2, 10.2, 10.2))->seen['play'] ?? [];

        self::assertSame([Check::RIGHT, 'tight'], array_keys($seen));
        self::assertEqualsWithDelta(1.0, array_sum($seen), 1e-12);
        self::assertGreaterThan(0.5, $seen[Check::RIGHT]);
    }

    public function test_a_fault_is_one_of_what_may_be_found(): void
    {
        $job = TestJob::clutch();
        while ($job->state->progress->asks()?->key !== 'arm') {
            $job->line('ok');
        }

        self::assertSame(['bent' => 1.0, 'weak_spring' => 1.0], self::of($job->line('fault'))->seen['arm']);
    }

    public function test_a_pull_kept_as_a_curve_is_evidence_until_something_is_moved(): void
    {
        $job = TestJob::clutch()->ready()->read(15.0, 15.0, 15.0)->entry('trace', self::trace('return_only', 0));

        self::assertSame(['return_only' => 0.95, Check::RIGHT => 0.02], self::of($job)->seen['springs_felt']);
        self::assertSame([], self::of($job)->seen['drag'] ?? []);
        self::assertSame(
            ['stiff' => 0.9, Check::RIGHT => 0.1],
            self::of($job->entry('trace', self::trace('yes', 2)))->seen['drag'],
        );
        self::assertSame(
            [Check::RIGHT => 0.95, 'return_only' => 0.02],
            self::of($job)->seen['springs_felt'],
            'the last one tells',
        );
        self::assertSame([], self::of($job->line('+1f'))->seen['springs_felt'] ?? []);
    }

    public function test_a_curve_that_feels_no_springs_keeps_a_clutch_from_being_signed_fit(): void
    {
        $gate = static fn (TestJob $job): array => array_values(array_filter(array_map(
            static fn (GateState $one): string => $one->gate->key === GateKey::SpringsReached
                ? $one->status->value
                : '',
            $job->state->judgement->gates,
        )));
        $job = TestJob::clutch()->ready()->read(15.0, 15.0, 15.0);

        self::assertSame([], $gate($job));
        self::assertSame(['failed'], $gate($job->entry('trace', self::trace('return_only', 0))));
        self::assertSame([], $gate($job->entry('trace', self::trace('yes', 0))), 'pulled again, with the arm right');
    }

    public function test_a_hand_and_a_curve_that_disagree_settle_nothing(): void
    {
        $run = ['cables' => [['id' => 'clutch', 'name' => 'Clutch cable', 'adjusters' => [
            ['id' => 'perch', 'name' => 'perch barrel', 'kind' => 'barrel', 'thread' => 'M8 x 1.25', 'travel_mm' => 11],
            [
                'id' => 'bracket',
                'name' => 'engine bracket',
                'kind' => 'bracket_nuts',
                'thread' => 'M8',
                'travel_mm' => 22,
            ],
            ['id' => 'arm', 'kind' => 'spline_arm', 'name' => 'arm on its spline'],
        ]]]] + TestJob::clutchRun();
        $job = TestJob::clutch([], $run)
            ->ready()
            ->read(15.0, 15.0, 15.0)
            ->entry('check', ['key' => 'springs_felt', 'answer' => 'springs']);
        $said = static fn (TestJob $job): string => implode(array_map(
            static fn (GateState $one): string => $one->gate->key === GateKey::SpringsReached
                ? "{$one->status->value}: {$one->sentence}"
                : '',
            $job->state->judgement->gates,
        ));

        self::assertStringStartsWith('passed', $said($job));
        self::assertStringStartsWith(
            'unknown: A hand felt the clutch springs',
            $said($job->entry('trace', self::trace('return_only', 0))),
        );
        self::assertStringStartsWith(
            'failed',
            $said($job->entry('check', ['key' => 'springs_felt', 'answer' => 'return_only'])),
        );
    }

    public function test_a_curve_of_what_has_none_is_refused(): void
    {
        self::assertStringContainsString(
            'tells nothing of this control',
            FamilyJob::of(FamilyKey::SpeedSelector)->refusal(static fn (TestJob $job): TestJob => $job->entry(
                'trace',
                self::trace('yes', 0),
            )),
        );
    }

    /** @return array<string, mixed> */
    private static function trace(string $reached, int $snags): array
    {
        return [
            'trace' => '7d9f1c2e-0000-4000-8000-000000000001',
            'points' => 900,
            'point' => 'lever_tip',
            'to_stop' => true,
            'told' => [
                'heaviest_n' => 12.0,
                'heaviest_mm' => 50.0,
                'efficiency' => 0.8,
                'reached' => $reached,
                'snags' => $snags,
            ],
        ];
    }

    public function test_a_failed_proof_is_evidence(): void
    {
        $job = TestJob::clutch()
            ->ready()
            ->read(15.0, 15.0, 15.0)
            ->entry('check', ['key' => 'arm_loose', 'answer' => 'no']);

        self::assertSame('no', self::of($job)->answer('arm_free'));
        self::assertSame(
            Check::RIGHT,
            self::of($job->entry('check', ['key' => 'arm_loose', 'answer' => 'yes']))->answer('arm_free'),
        );
    }

    /**
     * @param  string  $entry  nothing where the job has no entry that says the same
     */
    #[TestWith(['wire', 'right', 'inspected {"key":"wire","finding":"sound"}'])]
    #[TestWith(['wire', 'frayed', 'inspected {"key":"wire","finding":"fault","remark":"frayed, rusty or kinked"}'])]
    #[TestWith(['arm', 'weak_spring', 'inspected {"key":"arm","finding":"fault","remark":"return spring weak, broken or unhooked"}'])]
    #[TestWith(['arm_free', 'no', 'check {"key":"arm_loose","answer":"no"}'])]
    #[TestWith(['play', 'tight', ''])]
    #[TestWith(['oil', 'wrong', ''])]
    #[TestWith(['plates', 'worn', ''])]
    public function test_a_look_is_the_same_entry_in_the_job(string $check, string $answer, string $entry): void
    {
        $look = Causes::of(FamilyKey::ClutchLever)->checks[$check];
        $said = JobAnswer::of($look, $answer, TestJob::clutch()->state);

        self::assertSame($entry, $said === null ? '' : "{$said->kind->value} ".json_encode($said->body));
    }

    #[DataProvider('looks')]
    public function test_what_goes_into_a_job_comes_out_of_it_as_it_went_in(
        FamilyKey $family,
        string $check,
        string $answer,
    ): void {
        // Nothing is off it: what runs the machine may be tried.
        $whole = FamilyJob::of($family);
        foreach (Families::of($family)->refit() as $step) {
            $whole->entry('confirmed', ['key' => $step->key]);
        }
        $job = $whole->state;
        $look = Causes::of($family)->checks[$check];
        $said = JobAnswer::of($look, $answer, $job);
        if ($said === null) {
            self::assertNotSame(
                JobItemKind::Inspection,
                $look->of?->kind,
                'an inspection that the job does not know',
            );

            return;
        }
        $entry = (new EntryCodec($job->run))->entry(
            $said->kind,
            Node::of($said->body),
            new Stamp(
                '0197a000-0000-7000-8000-000000000001',
                '2026-03-02T09:00:00+00:00',
                new Person('ines', 'Ines', Role::Technician),
            ),
        );
        $seen = JobEvidence::of(
            Bench::replay($job->spec, $job->run, $job->log->with($entry)),
            Causes::of($family),
        )->seen[$check]
            ?? [];

        self::assertSame(1.0, $seen[$answer] ?? null);
        self::assertSame($answer === Check::RIGHT, isset($seen[Check::RIGHT]));
    }

    /**
     * @return iterable<string, array{FamilyKey, string, string}> every look that is of something the product asks
     *     elsewhere, with each of its answers
     */
    public static function looks(): iterable
    {
        foreach (FamilyKey::cases() as $family) {
            foreach (Causes::of($family)->checks as $check) {
                foreach ($check->of === null ? [] : array_keys($check->answers()) as $answer) {
                    yield "{$family->value} {$check->key} {$answer}" => [$family, $check->key, $answer];
                }
            }
        }
    }

    /** @param  list<string>  $symptoms */
    #[TestWith(['Lever feels soft since the engine was apart', ['soft']])]
    #[TestWith(['slips going uphill and is hard to shift', ['slips', 'hard_to_shift']])]
    #[TestWith(['I have to set it again every week', ['again_and_again']])]
    #[TestWith(['Lever comes back slowly when it is wet', ['heavy']])]
    #[TestWith(['does not spring back', ['no_spring_back']])]
    #[TestWith(['it is blue', []])]
    public function test_words_are_matched_to_symptoms(string $words, array $symptoms): void
    {
        self::assertSame(
            $symptoms,
            array_map(
                static fn (Symptom $one): string => $one->value,
                OwnWords::understood($words, Causes::of(FamilyKey::ClutchLever)->symptoms),
            ),
        );
    }

    public function test_words_mean_what_the_family_knows(): void
    {
        self::assertSame(
            [Symptom::WrongDirection],
            OwnWords::understood('In reverse 1 it drives forward', Causes::of(FamilyKey::SpeedSelector)->symptoms),
        );
        self::assertSame(
            [Symptom::StartsSometimes],
            OwnWords::understood('Starts only sometimes', Causes::of(FamilyKey::Bail)->symptoms),
        );
        self::assertSame(
            [Symptom::StaysOpen],
            OwnWords::understood('throttle hangs', Causes::of(FamilyKey::TwistGrip)->symptoms),
        );
    }

    private static function of(TestJob $job): Evidence
    {
        return JobEvidence::of($job->state, Causes::of(FamilyKey::ClutchLever));
    }
}
