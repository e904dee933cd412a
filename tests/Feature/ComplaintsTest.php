<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Complaint;
use App\Models\ComplaintAnswer;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Support\HttpJob;
use Tests\TestCase;
use VividPull\Core\Procedure\Symptom;

/**
 * From what feels wrong to its cause, over HTTP: answers are added, a job tells what it knows, a closed complaint
 * teaches the workshop.
 */
final class ComplaintsTest extends TestCase
{
    private const CONTROL = '/api/machines/RT-14/controls/clutch';

    public function test_a_soft_lever_comes_to_the_arm_on_its_wrong_spline(): void
    {
        $start = $this
            ->signIn('ines')
            ->getJson(self::CONTROL.'/symptoms?words='.urlencode('lever feels soft'))
            ->assertOk()
            ->json();
        self::assertSame([['soft'], [], null], [$start['understood'], $start['perhaps'], $start['open']]);
        $this
            ->getJson(self::CONTROL.'/symptoms?words='.urlencode('in top gear uphill it just revs'))
            ->assertJsonPath('understood', [])
            ->assertJsonPath('perhaps', ['slips']);
        $id = (string) Str::uuid();
        $state = $this
            ->postJson(
                self::CONTROL.'/complaints',
                ['id' => $id, 'symptoms' => ['soft' => 'yes', 'heavy' => 'not_tried'], 'words' => 'lever feels soft'],
            )
            ->assertCreated()
            ->json();
        self::assertSame(
            ['soft', 'yes'],
            [$state['answers'][0]['about'], $state['diagnosis']['symptoms'][5]['answer']],
        );
        for ($n = 0; $n < 10 && $state['diagnosis']['next']['kind'] === 'check'; $n++) {
            $next = $state['diagnosis']['next'];
            self::assertNotSame([], $next['answers']);
            $state = $this
                ->answer(
                    $id,
                    'check',
                    $next['key'],
                    ['springs_felt' => 'return_only', 'arm_mark' => 'off'][$next['key']] ?? 'right',
                )
                ->assertOk()
                ->json();
        }
        self::assertSame(
            ['cure', 'wrong_spline'],
            [$state['diagnosis']['next']['kind'], $state['diagnosis']['next']['key']],
        );
        self::assertSame(
            [$id, 'lever feels soft'],
            [
                $this->getJson('/api/complaints')->json('complaints.0.id'),
                $this->getJson('/api/machines/RT-14')->json('complaints.0.words'),
            ],
        );
        self::assertSame($id, $this->getJson('/api/bench')->json('complaints.0.id'));

        $this
            ->postJson("/api/complaints/{$id}/closed", ['cause' => 'wrong_spline'])
            ->assertOk()
            ->assertJsonPath('was', 'Arm on the wrong spline')
            ->assertJsonPath('closed_by', 'Ines')
            ->assertJsonPath('diagnosis.counted', 1);
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'wrong_spline'])->assertOk();
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'too_tight'])->assertConflict();
        $this
            ->signIn('oda')
            ->postJson("/api/complaints/{$id}/closed", ['cause' => 'too_tight'])
            ->assertOk()
            ->assertJsonPath('was', 'Play too small')
            ->assertJsonPath('closed_by', 'Oda');
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'wrong_spline'])->assertOk();
        self::assertSame(2, DB::table('audits')->where('action', 'cause put right')->count());
        $this->signIn('ines');
        self::assertSame([], $this->getJson('/api/complaints')->json('complaints'));
        // What was found once is thought of sooner the next time.
        $next = $this->complain(['soft' => 'yes']);
        self::assertSame(
            [1, 1],
            [
                $next['diagnosis']['counted'],
                array_column($next['diagnosis']['causes'], 'counted', 'key')['wrong_spline'],
            ],
        );
        self::assertGreaterThan(array_column($state['diagnosis']['causes'], 'chance', 'key')['other'] ?? 1, 0.5);
    }

    public function test_what_stands_against_running_the_machine_is_said_and_no_look_runs_it(): void
    {
        $id = $this->signIn('oda')->complain(['slips' => 'yes'])['id'];
        $state = fn (): array => $this->getJson("/api/complaints/{$id}")->assertOk()->json();
        self::assertSame([], $state()['against_running']);
        $grip = HttpJob::open($this, 'RT-14', 'throttle');
        $grip->body('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'left'])->assertOk();
        self::assertSame(
            ['The job on its throttle grip found: Throttle does not snap shut, bars full left.'],
            $state()['against_running'],
        );
        $grip->line('tag throttle hangs')->assertOk();
        $grip->body('closed', ['outcome' => 'tagged'])->assertOk();
        self::assertSame(
            ['A tag hangs on its throttle grip: “throttle hangs”.'],
            $state()['against_running'],
            'also where no job is open',
        );
        $this->answer($id, 'check', 'oil', 'right')->assertOk();
        for ($n = 0; $n < 20 && ($next = $state()['diagnosis']['next'])['kind'] === 'check'; $n++) {
            self::assertStringNotContainsString('arbon monoxide', (string) $next['caution'], "{$next['key']} runs it");
            $this->answer($id, 'check', $next['key'], 'right')->assertOk();
        }
        self::assertNotSame('check', $state()['diagnosis']['next']['kind']);
    }

    public function test_what_is_reported_of_one_control_is_said_before_the_machine_runs_for_another(): void
    {
        $this
            ->signIn('oda')
            ->postJson(
                '/api/machines/RT-14/controls/throttle/complaints',
                ['id' => (string) Str::uuid(), 'symptoms' => ['stays_open' => 'yes', 'heavy' => 'yes']],
            )
            ->assertCreated();
        $id = $this->complain(['slips' => 'yes'])['id'];
        $words = lcfirst(Symptom::StaysOpen->words());
        $this
            ->getJson("/api/complaints/{$id}")
            ->assertJsonPath('against_running', ["Of its throttle grip is reported: {$words}."]);
        $clutch = HttpJob::open($this)->ready()->read('15', '15', '15');
        foreach (['arm_loose', 'wiggle_still'] as $proof) {
            $clutch->body('check', ['key' => $proof, 'answer' => 'yes'])->assertOk();
        }
        foreach (['refitted', 'slots_apart'] as $step) {
            $clutch->body('confirmed', ['key' => $step])->assertOk();
        }
        $this
            ->getJson("/api/jobs/{$clutch->id}")
            ->assertJsonPath(
                'do_not_run.0.sentence',
                "This runs the machine, and of its throttle grip is reported: {$words}. Look into that first.",
            );
        $clutch->body('check', ['key' => 'no_creep', 'answer' => 'yes'])->assertOk();
    }

    public function test_what_a_job_knows_is_not_asked_again_and_a_job_is_told_what_was_looked_at(): void
    {
        $id = $this->signIn('ines')->complain(['slips' => 'yes'])['id'];
        $this->answer($id, 'check', 'oil', 'right')->assertOk();
        $job = HttpJob::open($this);
        $notes = array_column(
            array_column(
                array_filter(
                    $this->getJson("/api/jobs/{$job->id}/file")->json('log'),
                    static fn (array $entry): bool => $entry['kind'] === 'note',
                ),
                'body',
            ),
            'text',
        );
        self::assertSame(
            ['Looking for the cause, Ines: slips under load: yes; engine oil: the right kind, and fresh.'],
            $notes,
        );
        $job->ready()->read('4', '4', '4');
        $state = $this->getJson("/api/complaints/{$id}")->assertOk()->assertJsonPath('job', $job->id)->json();
        $checks = array_column($state['diagnosis']['checks'], 'answer', 'key');
        self::assertSame(['right', 'tight', 'right'], [$checks['wire'], $checks['play'], $checks['oil']]);
        self::assertSame('too_tight', $state['diagnosis']['causes'][0]['key']);
    }

    public function test_how_old_its_cable_is_and_when_it_was_oiled_is_known_from_its_jobs(): void
    {
        $known = function (): array {
            $state = $this->signIn('ines')->complain(['heavy' => 'yes']);
            $this->postJson("/api/complaints/{$state['id']}/closed", ['cause' => 'dry_cable'])->assertOk();

            return [
                array_intersect_key(
                    array_column($state['diagnosis']['checks'], 'answer', 'key'),
                    ['cable_age' => 0, 'oiled' => 0],
                ),
                array_column($state['diagnosis']['causes'], 'chance', 'key'),
            ];
        };
        [$answers, $before] = $known();
        self::assertSame(['cable_age' => null, 'oiled' => null], $answers, 'nothing is on file');
        $this->closedWith('part', ['part' => 'cable'])->travel(20)->days();
        [$answers, $after] = $known();
        self::assertSame(['cable_age' => 'new', 'oiled' => 'right'], $answers);
        self::assertLessThan($before['dry_cable'], $after['dry_cable'], 'a new cable is oiled');
        self::assertGreaterThan($before['bad_route'], $after['bad_route'], 'and may be led wrong');
        $this->travel(3)->years();
        self::assertSame(['cable_age' => 'right', 'oiled' => 'long_ago'], $known()[0]);
        $this->closedWith('put_right', ['cure' => 'oiled'])->travel(3)->days();
        self::assertSame(['cable_age' => 'right', 'oiled' => 'right'], $known()[0]);
    }

    public function test_when_the_engine_oil_was_changed_is_known_from_jobs_and_searches(): void
    {
        $aged = function (): ?string {
            $state = $this->signIn('ines')->complain(['slips' => 'yes']);
            $this->postJson("/api/complaints/{$state['id']}/closed", ['cause' => 'worn_plates'])->assertOk();

            return array_column($state['diagnosis']['checks'], 'answer', 'key')['oil_age'];
        };
        self::assertNull($aged(), 'nothing is on file');
        $this->closedWith('put_right', ['cure' => 'engine_oil'])->travel(20)->days();
        self::assertSame('right', $aged());
        $this->travel(3)->years();
        self::assertSame('old', $aged());
        $id = $this->signIn('ines')->complain(['slips' => 'yes'])['id'];
        $this->answer($id, 'tried', 'wrong_oil')->assertOk();
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'worn_plates'])->assertOk();
        self::assertSame('right', $aged(), 'it was changed, and that did not help');
        $this->travel(3)->years();
        $id = $this->signIn('ines')->complain(['slips' => 'yes'])['id'];
        $this->answer($id, 'tried', 'wrong_oil')->assertOk();
        $this->answer($id, 'back', 'wrong_oil')->assertOk();
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'worn_plates'])->assertOk();
        self::assertSame('old', $aged(), 'that was taken back');
        $id = $this->signIn('ines')->complain(['slips' => 'yes'])['id'];
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'wrong_oil'])->assertOk();
        self::assertSame('right', $aged(), 'it was what felt wrong');
    }

    /** @param  array<string, mixed>  $body */
    private function closedWith(string $kind, array $body): self
    {
        $job = HttpJob::open($this->signIn('ines'))->ready()->read('11.5', '11.5', '11.5');
        $job->body($kind, $body)->assertOk();
        $job->line('tag for the test')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();

        return $this;
    }

    public function test_a_closed_job_names_the_complaint_that_nobody_named_the_cause_of(): void
    {
        $id = $this->signIn('ines')->complain(['slips' => 'yes'])['id'];
        $job = HttpJob::open($this)->ready()->read('11.5', '11.5', '11.5');
        $job->line('tag for the test')->assertOk()->assertJsonPath('complaint', null);
        $job->body('closed', ['outcome' => 'tagged'])->assertOk()->assertJsonPath('complaint', $id);
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'worn_plates'])->assertOk();
        $this->getJson("/api/jobs/{$job->id}")->assertOk()->assertJsonPath('complaint', null);
    }

    public function test_what_stops_the_machine_is_proved_to_be_gone_by_a_job(): void
    {
        $this->signIn('ines');
        $close = fn (string $id) => $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'frayed_wire']);
        $sentence = 'Nobody runs it with that: inner wire: frayed, rusty or kinked. '
            .'A job on the clutch lever proves that it is gone. Where it is not there any more, say so first.';
        $id = $this->complain(['heavy' => 'yes'])['id'];
        $this->answer($id, 'check', 'wire', 'frayed')->assertOk()->assertJsonPath('unproved', $sentence);
        $close($id)->assertConflict()->assertJsonPath('detail', $sentence);
        $this->answer($id, 'tried', 'frayed_wire')->assertOk();
        $close($id)->assertConflict();
        $job = HttpJob::open($this);
        $this->getJson("/api/complaints/{$id}")->assertJsonPath('unproved', $sentence);
        $job->line('tag wire frayed')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $close($id)->assertOk();
    }

    public function test_what_is_not_there_any_more_needs_no_job(): void
    {
        $this->signIn('ines');
        $id = $this->complain(['creeps_in' => 'yes', 'heavy' => 'yes'])['id'];
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'other'])->assertConflict();
        $this->answer($id, 'symptom', 'creeps_in', 'no')->assertOk()->assertJsonPath('unproved', null);
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'other'])->assertOk();
    }

    public function test_a_job_that_was_signed_since_proves_it(): void
    {
        $id = $this->signIn('ines')->complain(['creeps_in' => 'yes'])['id'];
        $this->travel(1)->minutes();
        $this->closedWith('put_right', ['cure' => 'oiled']);
        $this->getJson("/api/complaints/{$id}")->assertJsonPath('unproved', null);
        // What is found after it was signed is not proved by it.
        $this->travel(1)->minutes();
        self::assertNotNull($this->answer($id, 'check', 'wire', 'frayed')->assertOk()->json('unproved'));
    }

    public function test_what_feels_wrong_while_a_job_is_open_is_asked_of_that_job(): void
    {
        $job = HttpJob::open($this->signIn('ines'));
        $id = $this->signIn('mirre')->complain(['creeps_in' => 'yes', 'heavy' => 'no'])['id'];
        $this->answer($id, 'symptom', 'slips', 'yes')->assertOk();
        $log = $this->inJob($job);
        self::assertSame(
            [['opened', 'complaint', 'complaint'], ['symptoms' => ['creeps_in']], 'Mirre'],
            [array_column($log, 'kind'), $log[1]['body'], $log[1]['by']['name']],
        );
        $state = (string) $this->getJson("/api/jobs/{$job->id}")->assertOk()->getContent();
        self::assertStringContainsString('"key":"check:gone_creeps_in"', $state);
        self::assertStringContainsString('"key":"check:gone_slips"', $state);
        self::assertStringNotContainsString('gone_heavy', $state);
    }

    public function test_a_look_at_what_the_job_asks_for_is_its_entry_and_is_taken_back_with_it(): void
    {
        $job = HttpJob::open($this->signIn('ines'));
        $id = $this->signIn('tomas')->complain(['slips' => 'yes'])['id'];
        $this->answer($id, 'check', 'wire', 'frayed')->assertOk();
        $this->answer($id, 'check', 'oil', 'wrong')->assertOk();
        $log = $this->inJob($job);
        self::assertSame(['opened', 'complaint', 'joined', 'inspected'], array_column($log, 'kind'));
        self::assertSame(
            [['key' => 'wire', 'finding' => 'fault', 'remark' => 'frayed, rusty or kinked'], 'Tomas'],
            [$log[3]['body'], $log[3]['by']['name']],
        );

        $this->answer($id, 'back', 'wire')->assertOk();
        $log = $this->inJob($job);
        self::assertSame(['void', $log[3]['id']], [$log[4]['kind'], $log[4]['body']['entry']]);
        self::assertNull(
            array_column($this->getJson("/api/complaints/{$id}")->json('diagnosis.checks'), 'answer', 'key')['wire'],
        );

        $this->answer($id, 'check', 'wire', 'right')->assertOk();
        self::assertSame(['key' => 'wire', 'finding' => 'sound'], $this->inJob($job)[5]['body']);
    }

    public function test_nobody_writes_what_feels_wrong_into_a_job_by_hand(): void
    {
        $job = HttpJob::open($this->signIn('ines'));

        $this->postJson(
            "/api/jobs/{$job->id}/entries",
            [
                'id' => (string) Str::uuid(),
                'at' => '2026-03-02T09:00:00+00:00',
                'kind' => 'complaint',
                'body' => ['symptoms' => ['slips']],
            ],
        )
            ->assertStatus(422)->assertJsonPath(
                'detail',
                'What feels wrong is said under Find the cause, from the machine\'s page.',
            );
    }

    public function test_an_answer_is_kept_once_taken_back_and_skipped(): void
    {
        $id = $this->signIn('mirre')->complain(['slips' => 'yes'])['id'];
        $answer = ['id' => (string) Str::uuid(), 'kind' => 'check', 'about' => 'play', 'answer' => 'tight'];
        $this
            ->postJson("/api/complaints/{$id}/answers", $answer)
            ->assertOk()
            ->assertJsonPath('diagnosis.causes.0.key', 'too_tight');
        $this->postJson("/api/complaints/{$id}/answers", $answer)->assertOk();
        self::assertSame(2, ComplaintAnswer::query()->where('complaint_id', $id)->count());
        $this
            ->postJson("/api/complaints/{$id}/answers", ['answer' => 'loose'] + $answer)
            ->assertConflict()
            ->assertJsonPath('detail', 'Another answer stands under this id.');
        $back = $this->answer($id, 'back', 'play')->assertOk()->json();
        self::assertNull(array_column($back['diagnosis']['checks'], 'answer', 'key')['play']);
        $skipped = $this->answer($id, 'skip', 'play')->assertOk()->json();
        self::assertTrue(array_column($skipped['diagnosis']['checks'], 'skipped', 'key')['play']);
        self::assertNotSame('play', $skipped['diagnosis']['next']['key']);
        $tried = $this->answer($id, 'tried', 'too_tight')->assertOk()->json();
        self::assertContains(
            'It was put right, and it is still there.',
            array_column($tried['diagnosis']['causes'], 'against', 'key')['too_tight'],
        );
        self::assertSame(['symptom', 'check', 'back', 'skip', 'tried'], array_column($tried['answers'], 'kind'));
    }

    public function test_an_answer_keeps_its_author_and_their_time(): void
    {
        $id = $this->signIn('ines')->complain(['slips' => 'yes'])['id'];
        $body = [
            'id' => (string) Str::uuid(),
            'kind' => 'check',
            'about' => 'oil',
            'answer' => 'right',
            'at' => '2026-03-02T09:00:00+02:00',
            'by' => 'ines',
        ];
        $this
            ->postJson("/api/complaints/{$id}/answers", $body)
            ->assertOk()
            ->assertJsonPath('answers.1.at', '2026-03-02T07:00:00+00:00');
        $this->postJson("/api/complaints/{$id}/answers", $body)->assertOk();
        $this
            ->postJson("/api/complaints/{$id}/answers", ['id' => (string) Str::uuid(), 'by' => 'tomas'] + $body)
            ->assertConflict()
            ->assertJsonPath('type', '/problems/written-by-another');
        $this
            ->postJson("/api/complaints/{$id}/answers", ['id' => (string) Str::uuid(), 'at' => 'noon'] + $body)
            ->assertStatus(422);
        self::assertSame(2, ComplaintAnswer::query()->where('complaint_id', $id)->count());
    }

    public function test_by_telephone_nothing_needs_a_tool(): void
    {
        $id = $this->signIn('mirre')->complain(['slips' => 'yes'])['id'];
        $state = $this->getJson("/api/complaints/{$id}?by_phone=1")->assertOk()->json();
        self::assertContains($state['diagnosis']['next']['kind'], ['ask', 'check']);
        self::assertNull($state['diagnosis']['next']['tools']);
        $this
            ->postJson(
                "/api/complaints/{$id}/answers?by_phone=1",
                ['id' => (string) Str::uuid(), 'kind' => 'symptom', 'about' => 'again_and_again', 'answer' => 'no'],
            )
            ->assertOk();
    }

    public function test_what_is_wrong_gets_a_sentence_and_nothing_is_kept(): void
    {
        $this->signIn('ines');
        $this
            ->postJson(
                self::CONTROL.'/complaints',
                ['id' => (string) Str::uuid(), 'symptoms' => ['rope_hard' => 'yes']],
            )
            ->assertUnprocessable()
            ->assertJsonPath(
                'detail',
                '$.symptoms.rope_hard: “rope_hard” is no symptom of this family. Known are: slips, creeps_in, hard_to_shift, bites_early, bites_late, soft, heavy, no_spring_back, play_changes, end_of_thread, wobbles, again_and_again.',
            );
        foreach ([[], ['slips' => 'no'], ['slips' => 'not_tried']] as $nothing) {
            $this
                ->postJson(self::CONTROL.'/complaints', ['id' => (string) Str::uuid(), 'symptoms' => (object) $nothing])
                ->assertUnprocessable()
                ->assertJsonPath('detail', 'Say yes to at least one thing that feels wrong.');
        }
        $this
            ->postJson(
                '/api/machines/RT-14/controls/wing/complaints',
                ['id' => (string) Str::uuid(), 'symptoms' => ['slips' => 'yes']],
            )
            ->assertNotFound();
        self::assertSame(0, Complaint::query()->count());
        $id = $this->complain(['slips' => 'yes'])['id'];
        $this
            ->postJson(self::CONTROL.'/complaints', ['id' => (string) Str::uuid(), 'symptoms' => ['soft' => 'yes']])
            ->assertConflict()
            ->assertJsonPath(
                'detail',
                'The cause of another complaint about it is being looked for. Go on with that one.',
            );
        $this
            ->postJson(self::CONTROL.'/complaints', ['id' => $id, 'symptoms' => ['slips' => 'yes']])
            ->assertCreated()
            ->assertJsonPath('id', $id);
        $this->answer($id, 'check', 'smell', 'bad')->assertUnprocessable();
        $this->answer($id, 'check', 'play', 'odd')->assertUnprocessable();
        $this->answer($id, 'guess', 'play', 'tight')->assertUnprocessable();
        $this->answer($id, 'tried', 'gremlins')->assertUnprocessable();
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'gremlins'])->assertUnprocessable();
        self::assertSame(1, ComplaintAnswer::query()->count());
        $this->postJson("/api/complaints/{$id}/closed", ['cause' => 'other'])->assertOk();
        $this->answer($id, 'check', 'play', 'tight')->assertConflict();
        self::assertSame(1, DB::table('audits')->where('action', 'complaint closed')->count());
    }

    /** @return list<array<string, mixed>> its log as it lies in the job file */
    private function inJob(HttpJob $job): array
    {
        return array_values($this->getJson("/api/jobs/{$job->id}/file")->assertOk()->json('log'));
    }

    /**
     * @param  array<string, string>  $symptoms
     * @return array<string, mixed>
     */
    private function complain(array $symptoms): array
    {
        return (array) $this
            ->postJson(self::CONTROL.'/complaints', ['id' => (string) Str::uuid(), 'symptoms' => $symptoms])
            ->assertCreated()
            ->json();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function answer(string $id, string $kind, string $about, ?string $answer = null): TestResponse
    {
        return $this->postJson(
            "/api/complaints/{$id}/answers",
            ['id' => (string) Str::uuid(), 'kind' => $kind, 'about' => $about]
                + ($answer === null ? [] : ['answer' => $answer]),
        );
    }
}
