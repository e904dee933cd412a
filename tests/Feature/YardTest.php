<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Control;
use App\Models\Machine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** How every machine stands, at a glance, over HTTP. */
final class YardTest extends TestCase
{
    private function clutch(): string
    {
        return $this->marks()['clutch'];
    }

    /** @return array<string, string> marks of a machine, by control */
    private function marks(string $tag = 'RT-14'): array
    {
        $machines = array_column($this->getJson('/api/yard')->assertOk()->json('machines'), null, 'tag');

        return array_column($machines[$tag]['controls'], 'mark', 'key');
    }

    public function test_each_control_shows_what_matters_most_of_it(): void
    {
        $this->signIn('ines');
        self::assertSame(['clutch' => 'never', 'throttle' => 'never'], $this->marks());
        $job = HttpJob::open($this)->ready();
        self::assertSame('in_work', $this->clutch());
        $job->line('tag frayed behind the lever')->assertOk();
        self::assertSame('tagged', $this->clutch(), 'a tag hung in a job that is still open counts');
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        self::assertSame('tagged', $this->clutch());
        $again = HttpJob::open($this);
        self::assertSame('tagged', $this->clutch(), 'until a lead lifts it');
        self::assertNotSame($job->id, $again->id);
    }

    public function test_what_is_reported_so_that_nobody_should_run_it_is_marked(): void
    {
        $id = (string) Str::uuid();
        $this->signIn('ines');
        $this->postJson(
            '/api/machines/RT-14/intakes',
            ['id' => $id, 'words' => 'throttle sticks'],
        )->assertOk();
        self::assertSame(['clutch' => 'never', 'throttle' => 'reported'], $this->marks(), 'of the control it may be of');
        $this->postJson("/api/intakes/{$id}/answer", ['answer' => 'A glove was in the way.'])->assertOk();
        self::assertSame(['clutch' => 'never', 'throttle' => 'never'], $this->marks(), 'answered');
        foreach (['clutch' => ['heavy', 'never'], 'throttle' => ['no_spring_back', 'reported']] as $key => [$felt, $mark]) {
            $this->postJson(
                "/api/machines/RT-14/controls/{$key}/complaints",
                ['id' => (string) Str::uuid(), 'symptoms' => [$felt => 'yes']],
            )->assertCreated();
            self::assertEquals($mark, $this->marks()[$key]);
        }
    }

    public function test_what_an_open_job_found_is_marked_while_it_is_in_work(): void
    {
        $this->signIn('ines');
        $job = HttpJob::open($this, 'RT-14', 'throttle');
        self::assertSame('in_work', $this->marks()['throttle']);
        $job->body('check', ['key' => 'snap_shut', 'answer' => 'no', 'pose' => 'left'])->assertOk();
        self::assertSame('in_work_stopped', $this->marks()['throttle'], 'nobody tagged it yet');
        $found = ['Throttle does not snap shut, bars full left.'];
        self::assertSame(
            [['RT-14', $found]],
            array_map(
                static fn (array $row): array => [$row['tag'], $row['control']['unfit']],
                $this->getJson('/api/bench')->json('stopped'),
            ),
        );
        self::assertSame(
            [[], $found],
            array_column($this->getJson('/api/machines/RT-14')->json('controls'), 'unfit'),
        );
        $job->body('check', ['key' => 'snap_shut', 'answer' => 'yes', 'pose' => 'left'])->assertOk();
        self::assertSame('in_work', $this->marks()['throttle'], 'put right');
        self::assertSame([], $this->getJson('/api/bench')->json('stopped'));
        $this->postJson(
            '/api/machines/RT-14/controls/throttle/complaints',
            ['id' => (string) Str::uuid(), 'symptoms' => ['stays_open' => 'yes']],
        )->assertCreated();
        self::assertSame('in_work_stopped', $this->marks()['throttle'], 'being looked into');
    }

    public function test_what_a_note_of_an_open_job_or_a_report_that_it_took_up_tells_is_marked(): void
    {
        $this->signIn('ines');
        $job = HttpJob::open($this, 'RT-14', 'throttle');
        $job->line('n return spring broken')->assertOk();
        self::assertSame('in_work_stopped', $this->marks()['throttle'], 'noted, and nobody looked since');
        $told = ['A note tells of this: does not spring back by itself.'];
        self::assertSame([$told], array_column(array_column($this->getJson('/api/bench')->json('stopped'), 'control'), 'unfit'));
        $job->body('check', ['key' => 'gone_no_spring_back', 'answer' => 'misread'])->assertOk();
        self::assertSame('in_work', $this->marks()['throttle'], 'the spare one on the shelf');

        $this->postJson(
            '/api/machines/QB-03/intakes',
            ['id' => (string) Str::uuid(), 'words' => 'throttle sticks'],
        )->assertOk();
        HttpJob::open($this, 'QB-03', 'throttle');
        self::assertSame(
            ['Brought in for: does not snap shut, or shuts slowly.', 'Brought in for: does not spring back by itself.'],
            $this->getJson('/api/machines/QB-03')->json('controls.0.unfit'),
            'taken up by the job, and not gone by that',
        );
        self::assertSame(
            ['QB-03'],
            array_column($this->getJson('/api/bench')->json('stopped'), 'tag'),
        );
    }

    public function test_what_is_seen_or_told_while_a_cause_is_looked_for_is_marked_too(): void
    {
        $this->signIn('ines');
        $complain = fn (string $key, array $more): string => $this->postJson(
            "/api/machines/RT-14/controls/{$key}/complaints",
            ['id' => (string) Str::uuid(), 'symptoms' => ['heavy' => 'yes'], ...$more],
        )->assertCreated()->json('id');
        $answer = fn (string $id, string $kind, array $more) => $this->postJson(
            "/api/complaints/{$id}/answers",
            ['id' => (string) Str::uuid(), 'kind' => $kind, 'about' => 'wire', ...$more],
        )->assertOk();

        $clutch = $complain('clutch', []);
        self::assertSame('never', $this->marks()['clutch'], 'a heavy lever may be ridden home');
        $answer($clutch, 'check', ['answer' => 'frayed'])->assertJsonPath(
            'stopped_by',
            ['Inner wire: frayed, rusty or kinked'],
        );
        self::assertSame('reported', $this->marks()['clutch'], 'seen');
        self::assertSame(
            [['Inner wire: frayed, rusty or kinked']],
            array_column($this->getJson('/api/machines/RT-14')->json('complaints'), 'stopped_by'),
        );
        $grip = $complain('throttle', ['words' => 'Heavy, and the cable is frayed at the grip']);
        $this->getJson("/api/complaints/{$grip}")
            ->assertJsonPath('stopped_by', ['Wire frayed or broken'])
            ->assertJsonPath(
                'against_running',
                ['Of its clutch lever is reported: inner wire: frayed, rusty or kinked.'],
            );
        self::assertSame('reported', $this->marks()['throttle'], 'told');
        $answer($grip, 'check', ['answer' => 'right'])->assertJsonPath('stopped_by', []);
        $answer($clutch, 'back', []);
        self::assertSame(['clutch' => 'never', 'throttle' => 'never'], $this->marks(), 'looked at, and taken back');
    }

    public function test_words_that_tell_of_a_wire_warn_before_a_cause_is_looked_for(): void
    {
        $this->signIn('ines')->getJson('/api/machines/RT-14/controls/clutch/symptoms?words=strands+showing+at+the+perch')
            ->assertOk()
            ->assertJsonPath('understood', [])
            ->assertJsonPath('may_stop', ['Wire frayed or broken']);
    }

    public function test_it_knows_what_is_due_by_day_and_by_use(): void
    {
        $this->signIn('ines');
        $control = Control::query()
            ->whereHas('machine', static fn ($machines) => $machines->where('tag', 'RT-14'))
            ->where('key', 'clutch')
            ->firstOrFail();
        $due = function () use ($control): array {
            $machine = array_column($this->getJson('/api/yard')->json('machines'), null, 'tag')[$control->machine->tag];

            return [$machine['is_due'], $machine['due_on']];
        };
        $control->forceFill(['due_on' => '2099-01-01', 'due_usage' => null])->save();
        self::assertSame([false, '2099-01-01'], $due());
        $control->forceFill(['due_usage' => $control->machine->usage()])->save();
        self::assertSame([true, CarbonImmutable::now()->toDateString()], $due());
        $control->forceFill(['due_on' => '2020-01-01', 'due_usage' => null])->save();
        self::assertSame([true, '2020-01-01'], $due());
    }

    public function test_retired_ones_stand_apart_and_none_is_left_out(): void
    {
        $all = Machine::query()->count();
        Machine::query()
            ->where('tag', 'RT-14')
            ->update(['retired_at' => CarbonImmutable::now(), 'retired_why' => 'sold']);
        $this->signIn('office');
        self::assertCount($all - 1, $this->getJson('/api/yard')->json('machines'));
        self::assertSame(['RT-14'], array_column($this->getJson('/api/yard?retired=only')->json('machines'), 'tag'));
        Machine::query()->insert(array_map(
            static fn (int $n): array => [
                'tag' => "ZZ-{$n}", 'name' => 'Many', 'kind' => 'mower', 'year' => 2020, 'place' => 'yard',
                'usage_reading' => 0, 'usage_unit' => 'h',
            ],
            range(1000, 1700),
        ));
        self::assertCount($all + 700, $this->getJson('/api/yard')->json('machines'));
    }
}
