<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Control;
use App\Models\ControlJob;
use App\Models\SpecVersion;
use Illuminate\Support\Str;
use Tests\Support\HttpJob;
use Tests\TestCase;
use VividPull\Core\Wire\JobFile;
use VividPull\Core\Wire\StateCodec;

final class JobsTest extends TestCase
{
    public function test_a_job_is_opened_once_however_often_it_is_asked_for(): void
    {
        $this->signIn();
        $id = (string) Str::uuid();
        $this
            ->postJson('/api/machines/RT-14/jobs', ['id' => $id, 'control' => 'clutch'])
            ->assertCreated()
            ->assertJsonPath('id', $id);
        $this->postJson('/api/machines/RT-14/jobs', ['id' => $id, 'control' => 'clutch'])->assertOk();
        self::assertSame(1, ControlJob::query()->count());
    }

    public function test_one_job_at_a_time_is_open_on_a_control(): void
    {
        $this->signIn();
        HttpJob::open($this);
        $this
            ->postJson('/api/machines/RT-14/jobs', ['id' => (string) Str::uuid(), 'control' => 'clutch'])
            ->assertStatus(409)
            ->assertJsonPath(
                'detail',
                'A job on the Clutch lever of RT-14 is open already. Open it from the Bench and join it.',
            );
        HttpJob::open($this, 'RT-14', 'throttle');
        self::assertSame(1, ControlJob::query()->distinct()->count('visit_id'), 'both belong to one visit');
    }

    public function test_what_cannot_be_opened_gets_a_sentence(): void
    {
        $this->signIn();
        $id = (string) Str::uuid();
        $this->postJson('/api/machines/ZZ-99/jobs', ['id' => $id, 'control' => 'clutch'])->assertNotFound();
        $this->postJson('/api/machines/RT-14/jobs', ['id' => $id, 'control' => 'rudder'])->assertNotFound();
        $this
            ->postJson('/api/machines/RT-14/jobs', ['id' => 'seven', 'control' => 'clutch'])
            ->assertStatus(422)
            ->assertJsonPath('detail', '$.id: this is not a UUID.');
        $this->postJson('/api/machines/RT-14/jobs', ['id' => $id])->assertStatus(422);
        $this->raw('POST', '/api/machines/RT-14/jobs', 'not json')->assertStatus(400);
        $this
            ->signIn('office')
            ->postJson('/api/machines/RT-14/jobs', ['id' => $id, 'control' => 'clutch'])
            ->assertForbidden()
            ->assertJsonPath(
                'detail',
                'Harbour office signs as viewer, and this is for an apprentice, a technician or a lead.',
            );
        $this->postJson('/api/machines/RT-14/jobs', ['id' => 'seven'])->assertForbidden();
        self::assertSame(0, ControlJob::query()->count());
    }

    public function test_an_unknown_job_is_not_found(): void
    {
        $this->signIn();
        foreach ([(string) Str::uuid(), 'x', "'; drop table entries; --"] as $id) {
            $this->getJson('/api/jobs/'.rawurlencode($id))->assertNotFound();
            $this->getJson('/api/jobs/'.rawurlencode($id).'/file')->assertNotFound();
        }
    }

    public function test_a_job_file_replays_to_the_state_that_the_screen_shows(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready()->read('25.3', '25', '25.5');
        $job->line('+1t', ['adjuster' => 'perch'])->assertOk();
        $job->read('21');
        $file = $this->getJson("/api/jobs/{$job->id}/file")->assertOk()->assertHeader('Content-Disposition');
        $replayed = json_decode(
            (string) json_encode(StateCodec::encode(JobFile::replay((string) $file->getContent()))),
            true,
        );
        $shown = $this->getJson("/api/jobs/{$job->id}")->json('state');
        self::assertEquals($shown, $replayed);
    }

    public function test_a_job_keeps_the_spec_it_was_opened_with(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready()->read('15', '15', '15');
        $body = SpecVersion::query()
            ->where('model', 'Tolvane Ridge 300')
            ->where('control', 'clutch')
            ->firstOrFail()->body;
        $body['aim'] = ['kind' => 'free_play_band', 'point' => 'lever_tip', 'low_mm' => 2, 'high_mm' => 4];
        $newer = SpecVersion::query()->create([
            'model' => 'Tolvane Ridge 300',
            'control' => 'clutch',
            'version' => 2,
            'body' => $body,
        ]);
        Control::query()->where('key', 'clutch')->update(['spec_version_id' => $newer->id]);
        self::assertSame('inside', $this->getJson("/api/jobs/{$job->id}")->json('state.now.verdict'));
    }

    public function test_a_whole_job_goes_on_the_machines_page(): void
    {
        $this->signIn();
        $job = HttpJob::open($this)->ready()->read('25.3', '25', '25.5');
        $job->line('+2t2f', ['adjuster' => 'perch', 'item' => 'in_band'])->assertOk();
        $job->read('15', '15', '15.5');
        $job->line('ok')->assertOk();
        $job->read('15', '15', '15.5');
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $job->line($answer)->assertOk();
        }
        $job
            ->body('closed', ['outcome' => 'fit', 'next_check' => now()->addMonths(3)->toDateString()])
            ->assertOk()
            ->assertJsonPath('state.closed.outcome', 'fit');
        $control = $this->getJson('/api/machines/RT-14')->json('controls.0');
        self::assertEqualsWithDelta(25.2667, $control['history'][0]['found_mm'], 1e-3);
        self::assertEqualsWithDelta(15.1667, $control['history'][0]['left_mm'], 1e-3);
        self::assertSame(
            ['fit', 'Ines', 'inside'],
            [$control['history'][0]['outcome'], $control['history'][0]['by'], $control['history'][0]['left_verdict']],
        );
        self::assertSame(now()->addMonths(3)->toDateString(), $control['due_on']);
        self::assertSame('6.0 mm out', $control['adjusters'][0]['at_say'], 'where the barrel was left');
        $next = HttpJob::open($this);
        self::assertEqualsWithDelta(
            3.1 + 1.25 * 14 / 6,
            $next->state['adjusters'][0]['at_mm'],
            1e-3,
            'is where the next job finds it',
        );
        self::assertNotEqualsWithDelta(
            log(132 / 38),
            $next->state['learned']['ln_ratio'],
            1e-6,
            'and it begins with what this one taught',
        );
    }

    public function test_a_tagged_throttle_stays_tagged_until_a_leads_passing_job(): void
    {
        $this->signIn();
        $job = HttpJob::open($this, 'QB-03', 'throttle')->ready()->read('4', '4', '4');
        $job->body('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'right'])->assertOk();
        $job
            ->body('closed', ['outcome' => 'fit'])
            ->assertStatus(422)
            ->assertJsonPath('missing.0', 'Throttle does not snap shut, bars full right.');
        $job->body('tag', ['reason' => 'Does not snap shut, bars full right.'])->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        self::assertSame('QB-03', $this->getJson('/api/bench')->json('stopped.0.tag'));

        $again = HttpJob::open($this, 'QB-03', 'throttle')->ready();
        foreach (['straight', 'left', 'right'] as $pose) {
            foreach (['4', '4'] as $value) {
                $again->line($value, ['pose' => $pose, 'item' => 'in_band'])->assertOk();
            }
            $again->body('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => $pose])->assertOk();
        }
        $again->body('check', ['key' => 'wire_in_groove', 'answer' => 'yes'])->assertOk();
        $again->body('check', ['key' => 'idle_steady', 'answer' => 'yes'])->assertOk();
        $again->body('untag', ['reason' => 'passed'])->assertStatus(422);
        foreach (['boots', 'restored'] as $step) {
            $again->body('confirmed', ['key' => $step])->assertOk();
        }
        $again->body('closed', ['outcome' => 'fit'])->assertStatus(422);
        $this->signIn('oda');
        $again->body('joined', [])->assertOk();
        $again->body('untag', ['reason' => 'Every gate passed.'])->assertOk();
        $again->body('closed', ['outcome' => 'fit'])->assertOk();
        self::assertSame([], $this->getJson('/api/bench')->json('stopped'));
    }
}
