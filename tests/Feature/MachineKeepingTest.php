<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\RestOfMachine;
use App\Models\Audit;
use App\Models\Control;
use App\Models\Intake;
use App\Models\Machine;
use App\Models\SpecVersion;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** What is done to a machine outside its jobs: hung on a tag, read, reported, retired. */
final class MachineKeepingTest extends TestCase
{
    private const NEW = [
        'tag' => 'rt-41',
        'plate' => null,
        'name' => 'Tolvane Ridge 300',
        'kind' => 'trail motorcycle',
        'year' => 2026,
        'place' => 'ranger station south',
        'usage' => 12,
        'usage_unit' => 'km',
    ];

    public function test_a_new_machine_gets_the_controls_of_its_model(): void
    {
        $machine = $this->signIn('oda')->postJson('/api/machines', self::NEW)->assertCreated()->json();
        self::assertSame(
            ['RT-41', ['clutch', 'throttle']],
            [$machine['tag'], array_column($machine['controls'], 'key')],
        );
        HttpJob::open($this, 'RT-41', 'clutch');
        $this
            ->postJson('/api/machines', self::NEW)
            ->assertConflict()
            ->assertJsonPath('detail', 'RT-41 hangs on another machine already.');
        self::assertSame('machine added', Audit::query()->latest('id')->value('action'));
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function wrong(): iterable
    {
        yield 'a tag with a blank' => [['tag' => 'RT 41'] + self::NEW];
        yield 'a meter below zero' => [['usage' => -1] + self::NEW];
        yield 'a unit nobody counts in' => [['usage_unit' => 'furlongs'] + self::NEW];
        yield 'a year of steam' => [['year' => 1812] + self::NEW];
        yield 'no place' => [['place' => ''] + self::NEW];
        yield 'more than is known' => [self::NEW + ['colour' => 'red']];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('wrong')]
    public function test_what_is_no_machine_is_refused(array $body): void
    {
        $this->signIn('oda')->postJson('/api/machines', $body)->assertUnprocessable();
        self::assertSame(2, Machine::query()->count());
    }

    public function test_a_control_of_the_library_is_added_once(): void
    {
        $throttle = SpecVersion::query()->where('model', 'Hesk Strand 450')->firstOrFail();
        Control::query()
            ->whereHas('machine', static fn ($m) => $m->where('tag', 'RT-14'))
            ->where('key', 'throttle')
            ->delete();
        $this
            ->signIn('oda')
            ->postJson('/api/machines/RT-14/controls', ['spec' => $throttle->id])
            ->assertOk()
            ->assertJsonPath('controls.1.key', 'throttle');
        $this->postJson('/api/machines/RT-14/controls', ['spec' => $throttle->id])->assertConflict();
        $this->postJson('/api/machines/RT-14/controls', ['spec' => 0])->assertUnprocessable();
    }

    public function test_a_machine_that_is_tagged_anew_is_still_found_by_its_old_tag(): void
    {
        $this
            ->signIn('oda')
            ->putJson(
                '/api/machines/RT-14',
                ['tag' => 'RT-99', 'plate' => 'SFP 999', 'kind' => 'trail motorcycle', 'place' => 'lighthouse depot'],
            )
            ->assertOk()
            ->assertJsonPath('tag', 'RT-99')->assertJsonPath('former_tags', ['RT-14']);
        self::assertSame(['RT-99'], array_column($this->getJson('/api/machines?find=RT-14')->json('machines'), 'tag'));
        $this->getJson('/api/machines/RT-14')->assertOk()->assertJsonPath('tag', 'RT-99');
        $this->putJson('/api/machines/RT-99', ['tag' => 'QB-03', 'kind' => 'x', 'place' => 'y'])->assertConflict();
    }

    public function test_a_retired_machine_leaves_the_lists_and_keeps_its_past(): void
    {
        $job = HttpJob::open($this->signIn('oda'));
        $this->putJson('/api/machines/RT-14/retired', ['retired' => true, 'why' => 'frame bent'])->assertConflict();
        $job->line('tag bent')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $this->putJson('/api/machines/RT-14/retired', ['retired' => true])->assertUnprocessable();
        $this
            ->putJson('/api/machines/RT-14/retired', ['retired' => true, 'why' => 'frame bent'])
            ->assertOk()
            ->assertJsonPath('retired_why', 'frame bent');
        self::assertSame(['QB-03'], array_column($this->getJson('/api/machines')->json('machines'), 'tag'));
        self::assertCount(2, $this->getJson('/api/machines?retired=too')->json('machines'));
        self::assertSame([], $this->getJson('/api/bench')->json('stopped'));
        $this->getJson('/api/machines/RT-14')->assertOk()->assertJsonCount(1, 'controls.0.history');
        $this
            ->postJson('/api/machines/RT-14/jobs', ['id' => (string) Str::uuid(), 'control' => 'clutch'])
            ->assertConflict()
            ->assertJsonPath('detail', 'RT-14 is retired: frame bent. A lead brings it back first.');
        $this
            ->putJson('/api/machines/RT-14/retired', ['retired' => false])
            ->assertOk()
            ->assertJsonPath('retired', false);
    }

    public function test_a_meter_is_read_and_one_that_goes_backward_is_questioned(): void
    {
        $this->signIn('mirre');
        $id = (string) Str::uuid();
        $this
            ->getJson('/api/machines/RT-14')
            ->assertJsonPath('meter.read_today', false)
            ->assertJsonPath('meter.read_at', null);
        $this
            ->postJson('/api/machines/RT-14/meter', ['id' => $id, 'face' => 6500])
            ->assertOk()
            ->assertJsonPath('usage', 6500)
            ->assertJsonPath('meter.read_today', true);
        $this->postJson('/api/machines/RT-14/meter', ['id' => $id, 'face' => 6500])->assertOk();
        $this->postJson('/api/machines/RT-14/meter', ['id' => $id, 'face' => 6501])->assertConflict();
        self::assertStringStartsWith(
            'The meter said 6 500 km before; 650 km is less.',
            $this
                ->postJson('/api/machines/RT-14/meter', ['id' => (string) Str::uuid(), 'face' => 650])
                ->assertUnprocessable()
                ->assertJsonPath('type', '/problems/refused')
                ->json('detail'),
        );
        $this
            ->postJson('/api/machines/RT-14/meter', ['id' => (string) Str::uuid(), 'face' => 65000])
            ->assertUnprocessable()
            ->assertJsonPath('type', '/problems/questioned');
        $this
            ->postJson('/api/machines/RT-14/meter', ['id' => (string) Str::uuid(), 'face' => 65000, 'sure' => true])
            ->assertOk()
            ->assertJsonPath('usage', 65000);
    }

    /** Half past eleven in the evening in one zone is the next day in another: the workshop's wall decides. */
    public function test_whether_the_meter_was_read_today_goes_by_the_day_of_the_workshop(): void
    {
        config(['app.workshop_timezone' => 'Pacific/Auckland']);
        $this->travelTo('2026-03-02T10:30:00Z');
        $this
            ->signIn('mirre')
            ->postJson('/api/machines/RT-14/meter', ['id' => (string) Str::uuid(), 'face' => 6500])
            ->assertOk();
        $this->travelTo('2026-03-02T10:59:00Z');
        $this->getJson('/api/machines/RT-14')->assertJsonPath('meter.read_today', true);
        $this->travelTo('2026-03-02T11:01:00Z');
        $this->getJson('/api/machines/RT-14')->assertJsonPath('meter.read_today', false);
    }

    public function test_a_replaced_meter_continues_and_so_does_the_story(): void
    {
        $machine = $this
            ->signIn('mirre')
            ->postJson('/api/machines/RT-14/meter', ['id' => (string) Str::uuid(), 'face' => 4, 'replaced_at' => 6420])
            ->assertOk();
        self::assertSame(
            [6420, 4, true],
            [$machine->json('usage'), $machine->json('meter.face'), $machine->json('meter.replaced')],
        );
        $this
            ->postJson('/api/machines/RT-14/meter', ['id' => (string) Str::uuid(), 'face' => 104])
            ->assertOk()
            ->assertJsonPath('usage', 6520);
        $this->signIn('tomas');
        self::assertSame(
            6520,
            HttpJob::open($this)->state['standing']['usage']
                ?? Machine::query()->where('tag', 'RT-14')->firstOrFail()->usage(),
        );
    }

    public function test_what_was_summed_up_in_older_words_is_read_and_left_as_it_is(): void
    {
        $control = Control::query()
            ->where('key', 'clutch')
            ->whereHas('machine', static fn ($machines) => $machines->where('tag', 'RT-14'))
            ->firstOrFail();
        $older = '{"job":"x","at":"2026-03-02T10:30:00+00:00","by":"Oda","outcome":"fit","record":[],"positions_turns":{"perch":2.5}}';
        DB::table('controls')->where('id', $control->id)->update(['summary' => $older]);
        $control->refresh();
        self::assertSame(['perch' => 2.5], $control->summary?->handedOn->positions);
        $control->forceFill(['minutes' => $control->minutes + 1])->save();
        self::assertSame(
            $older,
            DB::table('controls')->where('id', $control->id)->value('summary'),
            'nothing of it is written with something else',
        );
    }

    public function test_what_feels_odd_is_taken_in_and_taken_up_by_the_next_job(): void
    {
        $id = (string) Str::uuid();
        $this
            ->signIn('mirre')
            ->postJson(
                '/api/machines/RT-14/intakes',
                ['id' => $id, 'words' => 'Lever feels spongy', 'control' => 'clutch'],
            )
            ->assertOk()
            ->assertJsonPath('intakes.0.words', 'Lever feels spongy');
        $this
            ->postJson(
                '/api/machines/RT-14/intakes',
                ['id' => $id, 'words' => 'Lever feels spongy', 'control' => 'clutch'],
            )
            ->assertOk()
            ->assertJsonCount(1, 'intakes');
        $this->postJson('/api/machines/RT-14/intakes', ['id' => $id, 'words' => 'something else'])->assertConflict();
        $this
            ->postJson('/api/machines/RT-14/intakes', ['id' => (string) Str::uuid(), 'words' => str_repeat('x', 501)])
            ->assertUnprocessable();
        $this
            ->postJson(
                '/api/machines/RT-14/intakes',
                ['id' => (string) Str::uuid(), 'words' => 'x', 'control' => 'wing'],
            )
            ->assertNotFound();
        $job = HttpJob::open($this->signIn('ines'));
        self::assertSame([], $this->getJson('/api/machines/RT-14')->json('intakes'));
        self::assertStringContainsString(
            'Reported by Mirre, nobody said whether it is safe to run: Lever feels spongy',
            (string) json_encode($job->state['log'], JSON_UNESCAPED_UNICODE),
        );
        self::assertStringContainsString(
            'Brought in for: lever feels soft, nothing behind it. Gone?',
            (string) json_encode($job->state['stages'], JSON_UNESCAPED_UNICODE),
            'what was reported is tried again before it is fit for use',
        );
    }

    public function test_a_report_that_may_stop_the_machine_says_so_and_a_job_that_takes_it_up_is_no_answer(): void
    {
        $report = fn (string $words, ?string $control): array => $this
            ->postJson(
                '/api/machines/RT-14/intakes',
                ['id' => (string) Str::uuid(), 'words' => $words] + ($control === null ? [] : ['control' => $control]),
            )
            ->assertOk()
            ->json('intakes');
        $this->signIn('mirre');
        $stop = ['Lever feels spongy' => [], 'Gas comes back slowly.' => ['Does not snap shut, or shuts slowly']];
        self::assertSame([[]], array_column($report('Lever feels spongy', 'clutch'), 'may_stop'));
        self::assertEquals(
            $stop,
            array_column($report('Gas comes back slowly.', null), 'may_stop', 'words'),
            'of every control, where none is named',
        );
        self::assertEquals(
            $stop,
            array_column($this->getJson('/api/bench')->json('intakes'), 'may_stop', 'words'),
        );
        $clutch = HttpJob::open($this->signIn('ines'), 'RT-14', 'clutch');
        self::assertSame(
            ['Gas comes back slowly.'],
            array_column($this->getJson('/api/machines/RT-14')->json('intakes'), 'words'),
            'no job on another control answers it',
        );
        $said = 'Of its throttle grip is reported: does not snap shut, or shuts slowly.';
        self::assertContains($said, RestOfMachine::againstRunning($this->machine('RT-14'), 'clutch'));
        $clutch->body('tag', ['reason' => 'lever cracked'])->assertOk();
        $clutch->body('closed', ['outcome' => 'tagged'])->assertOk();
        $throttle = HttpJob::open($this, 'RT-14', 'throttle');
        self::assertStringContainsString(
            'Reported by Mirre: Gas comes back slowly.',
            (string) json_encode($throttle->state['log'], JSON_UNESCAPED_UNICODE),
            'it is known not to be safe',
        );
        self::assertSame([], $this->getJson('/api/machines/RT-14')->json('intakes'));
        self::assertContains($said, RestOfMachine::againstRunning($this->machine('RT-14'), 'clutch'), 'only taken up');
        $throttle->body('check', ['key' => 'gone_stays_open', 'answer' => 'still'])->assertOk();
        self::assertContains($said, RestOfMachine::againstRunning($this->machine('RT-14'), 'clutch'), 'still there');
    }

    public function test_a_danger_reported_after_a_hundred_others_is_on_the_bench(): void
    {
        $report = ['machine_id' => $this->machine('RT-14')->id, 'user_id' => User::query()->firstOrFail()->id];
        Intake::query()->insert(array_map(
            static fn (int $n): array => $report
                + ['id' => (string) Str::uuid(), 'words' => "Feels odd {$n}", 'at' => now()->subMinutes(500 - $n)],
            range(1, 101),
        ));
        Intake::query()->create(
            $report + ['id' => (string) Str::uuid(), 'words' => 'Gas comes back slowly.', 'at' => now()],
        );
        $listed = $this->signIn('mirre')->getJson('/api/bench')->assertOk()->json('intakes');
        self::assertCount(102, $listed);
        self::assertSame(['Does not snap shut, or shuts slowly'], $listed[101]['may_stop']);
    }

    public function test_a_long_report_comes_into_the_job_whole_and_its_last_words_stop_the_machine_too(): void
    {
        $words = str_repeat('The grip was heavy all week, as it is in the cold. ', 9).'Now the gas comes back slowly.';
        $this->signIn('mirre');
        $this
            ->postJson(
                '/api/machines/RT-14/intakes',
                ['id' => (string) Str::uuid(), 'words' => $words, 'control' => 'throttle'],
            )
            ->assertOk();
        $job = HttpJob::open($this->signIn('ines'), 'RT-14', 'throttle');
        $log = (string) json_encode($job->state['log'], JSON_UNESCAPED_UNICODE);
        self::assertStringContainsString('Now the gas comes back slowly.', $log);
        self::assertSame(9, substr_count($log, 'The grip was heavy all week, as it is in the cold.'));
        self::assertContains(
            'Of its throttle grip is reported: does not snap shut, or shuts slowly.',
            RestOfMachine::againstRunning($this->machine('RT-14'), 'clutch'),
        );
    }

    public function test_whoever_reports_is_asked_by_name_what_stops_a_machine_and_what_they_say_is_kept(): void
    {
        $this->signIn('mirre');
        $report = function (array $with): array {
            $sent = ['id' => (string) Str::uuid(), 'words' => 'Feels different', 'control' => 'throttle', ...$with];
            $shown = $this->postJson('/api/machines/RT-14/intakes', $sent)->assertOk()->json('intakes');
            // The same once more is the same report; with another answer it is none.
            $this->postJson('/api/machines/RT-14/intakes', $sent)->assertOk()->assertJsonCount(count($shown), 'intakes');
            $this
                ->postJson('/api/machines/RT-14/intakes', [...$sent, 'none_stops' => ! ($sent['none_stops'] ?? false)])
                ->assertConflict();

            return array_column($shown, null, 'id')[$sent['id']];
        };
        self::assertFalse($report([])['none_stops'], 'nobody was asked');
        self::assertTrue($report(['none_stops' => true])['none_stops']);
        $this
            ->postJson(
                '/api/machines/RT-14/intakes',
                ['id' => (string) Str::uuid(), 'words' => 'Feels different', 'none_stops' => 'perhaps'],
            )
            ->assertUnprocessable();
        $dangers = $this->getJson('/api/machines/RT-14/controls/throttle/symptoms?words=')->assertOk()->json('dangers');
        self::assertContains('Wire frayed or broken', $dangers);
        foreach ($dangers as $words) {
            self::assertContains($words, $report(['words' => $words])['may_stop'], 'understood as it is asked');
        }
    }

    public function test_a_report_that_may_be_of_two_controls_is_answered_by_a_job_on_each(): void
    {
        $this
            ->signIn('mirre')
            ->postJson('/api/machines/RT-14/intakes', [
                'id' => (string) Str::uuid(),
                'words' => 'Creeps with the clutch pulled, and the gas sticks.',
            ])
            ->assertOk();
        $left = fn (): array => array_map(
            static fn (array $one): array => [$one['control'], $one['by'], $one['may_stop']],
            $this->getJson('/api/machines/RT-14')->json('intakes'),
        );
        self::assertCount(1, $left());
        HttpJob::open($this->signIn('ines'), 'RT-14', 'clutch');
        self::assertSame(
            [['throttle', 'Mirre', ['Does not snap shut, or shuts slowly', 'Does not spring back by itself']]],
            $left(),
            'the other part of it',
        );
        HttpJob::open($this, 'RT-14', 'throttle');
        self::assertSame([], $left());
    }

    private function machine(string $tag): Machine
    {
        return Machine::query()->where('tag', $tag)->firstOrFail();
    }

    public function test_a_report_is_answered_in_words_once(): void
    {
        $id = (string) Str::uuid();
        $this
            ->signIn('mirre')
            ->postJson('/api/machines/QB-03/intakes', ['id' => $id, 'words' => 'Grip loose'])
            ->assertOk();
        $this->signIn('ines')->postJson("/api/intakes/{$id}/answer", ['answer' => ''])->assertUnprocessable();
        $this
            ->postJson("/api/intakes/{$id}/answer", ['answer' => 'Rubber grip turned on its tube; glued.'])
            ->assertOk()
            ->assertJsonPath('intakes', []);
        $this->postJson("/api/intakes/{$id}/answer", ['answer' => 'again'])->assertConflict();
    }
}
