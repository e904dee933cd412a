<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Control;
use App\Models\ControlJob;
use App\Models\EntryRow;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tests\Support\HttpJob;
use Tests\Support\Yard;
use Tests\TestCase;

/** A check over HTTP: read, signed, and said to be no more than that wherever it is shown afterwards. */
final class QuickCheckTest extends TestCase
{
    /** @return string id of a check that was begun */
    private function begin(string $tag = 'RT-14', string $control = 'clutch'): string
    {
        $id = (string) Str::uuid();
        $this
            ->postJson("/api/machines/{$tag}/jobs", ['id' => $id, 'control' => $control, 'check' => true])
            ->assertCreated()
            ->assertJsonPath('state.check.on', true)
            ->assertJsonPath('control.due_on', null);

        return $id;
    }

    private function safe(string $id): HttpJob
    {
        $job = HttpJob::resume($this, $id);
        $job->line('all ok')->assertOk();
        $job->line('cold')->assertOk()->assertJsonPath('state.stage', 'as_found');

        return $job;
    }

    public function test_inside_it_is_signed_kept_and_its_next_day_told(): void
    {
        $this->signIn('ines');
        $id = $this->begin();
        $this
            ->safe($id)
            ->read('15', '15', '15')
            ->body('closed', ['outcome' => 'checked'])
            ->assertOk()
            ->assertJsonPath('state.closed.outcome', 'checked');

        $due = $this->getJson("/api/jobs/{$id}")->assertOk()->json('control.due_on');
        self::assertSame(
            Control::query()
                ->whereHas('machine', static fn ($machines) => $machines->where('tag', 'RT-14'))
                ->where('key', 'clutch')
                ->firstOrFail()->due_on
                ?->toDateString(),
            $due,
        );
        self::assertNotNull($due);
        $control = array_column($this->getJson('/api/machines/RT-14')->json('controls'), null, 'key')['clutch'];
        self::assertSame(['checked', 'checked'], [$control['left_outcome'], $control['history'][0]['outcome']]);
        $log = $this->getJson("/api/jobs/{$id}/file")->assertOk()->json('log');
        self::assertTrue($log[0]['body']['check']);
        $sheet = (string) $this->get("/api/jobs/{$id}/sheet")->assertOk()->getContent();
        self::assertStringContainsString('%PDF', $sheet);
    }

    public function test_outside_nothing_is_typed_again_and_it_cannot_be_signed_as_checked(): void
    {
        $this->signIn('ines');
        $job = $this->safe($this->begin());
        $job->read('4', '4', '4');
        $job->body('closed', ['outcome' => 'checked'])->assertStatus(422);
        $state = $this->getJson("/api/jobs/{$job->id}")->json('state');
        self::assertSame([false, 'look_over'], [$state['check']['on'], $state['stage']]);
        self::assertSame(
            3,
            count(array_filter($state['log'], static fn (array $row): bool => $row['kind'] === 'reading')),
        );
    }

    public function test_it_is_begun_once_and_never_where_there_is_no_play_to_read(): void
    {
        Yard::add('SN-03');
        $this->signIn('ines');
        $id = $this->begin();
        $this->postJson('/api/machines/RT-14/jobs', ['id' => $id, 'control' => 'clutch', 'check' => true])->assertOk();
        $this
            ->postJson(
                '/api/machines/RT-14/jobs',
                ['id' => (string) Str::uuid(), 'control' => 'clutch', 'check' => true],
            )
            ->assertConflict();
        $this
            ->postJson(
                '/api/machines/SN-03/jobs',
                ['id' => (string) Str::uuid(), 'control' => 'selector', 'check' => true],
            )
            ->assertStatus(422)
            ->assertJsonPath(
                'detail',
                'No play is read on the Speed selector of SN-03, so there is nothing to check in a moment. Start a job.',
            );
        $this
            ->postJson(
                '/api/machines/RT-14/jobs',
                ['id' => (string) Str::uuid(), 'control' => 'throttle', 'check' => 'yes'],
            )
            ->assertStatus(422);
        self::assertSame(1, ControlJob::query()->count());
    }

    public function test_an_apprentice_reads_and_does_not_sign(): void
    {
        $this->signIn('mirre');
        $id = $this->begin();
        $job = HttpJob::resume($this, $id);
        $job->line('all ok')->assertStatus(422);
        $job->ready();
        $job->read('25.5', '25.5', '25.5');
        self::assertStringContainsString(
            'cannot sign a job off',
            (string) $job->body('closed', ['outcome' => 'checked'])->assertStatus(422)->json('detail'),
        );
    }

    /** Nobody looked at its wire: what the book and practice want is not put off by reading its play. */
    public function test_a_check_does_not_put_off_the_whole_job(): void
    {
        $this->signIn('ines');
        $whole = HttpJob::open($this)->ready()->read('15', '15', '15');
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $whole->line($answer)->assertOk();
        }
        $whole->body('closed', ['outcome' => 'fit'])->assertOk();
        // As if it had been signed two months ago.
        $then = CarbonImmutable::now()->subMonths(2);
        ControlJob::query()->whereKey($whole->id)->toBase()->update(['opened_at' => $then, 'closed_at' => $then]);
        EntryRow::query()
            ->where('job_id', $whole->id)
            ->where('kind', 'closed')
            ->toBase()
            ->update(['at' => $then->toIso8601String()]);

        $this->safe($this->begin())->read('15')->body('closed', ['outcome' => 'checked'])->assertOk();
        $next = array_column(
            $this->getJson('/api/machines/RT-14')->json('controls'),
            null,
            'key',
        )['clutch']['story']['next']['all'];
        self::assertSame($then->addMonths(6)->toDateString(), array_column($next, 'day', 'why')['practice']);
    }

    public function test_a_day_that_was_named_is_not_put_off_by_a_check_before_it(): void
    {
        $this->signIn('ines');
        $whole = HttpJob::open($this)->ready()->read('15', '15', '15');
        foreach (['yes', 'yes', 'ok', 'ok', 'yes', 'holds', 'middle', 'ok'] as $answer) {
            $whole->line($answer)->assertOk();
        }
        $named = CarbonImmutable::now()->addWeeks(3)->toDateString();
        $whole->body('closed', ['outcome' => 'fit', 'next_check' => $named])->assertOk();
        $then = CarbonImmutable::now()->subDays(4);
        ControlJob::query()->whereKey($whole->id)->toBase()->update(['opened_at' => $then, 'closed_at' => $then]);
        $id = $this->begin();
        $this->safe($id)->read('15')->body('closed', ['outcome' => 'checked'])->assertOk();

        self::assertSame($named, $this->getJson("/api/jobs/{$id}")->json('control.due_on'));
    }

    public function test_what_was_reported_of_no_control_stands_against_a_check_of_the_one_it_may_be_of(): void
    {
        $this
            ->signIn('ines')
            ->postJson('/api/machines/RT-14/intakes', ['id' => (string) Str::uuid(), 'words' => 'Gas stays on.'])
            ->assertOk();
        self::assertSame(
            ['clutch' => true, 'throttle' => false],
            array_column($this->getJson('/api/machines/RT-14')->json('controls'), 'may_check', 'key'),
        );
    }

    public function test_what_was_reported_is_not_answered_by_a_check(): void
    {
        $this
            ->signIn('ines')
            ->postJson(
                '/api/machines/RT-14/intakes',
                ['id' => (string) Str::uuid(), 'words' => 'Grip comes back slowly.', 'control' => 'throttle'],
            )
            ->assertOk();
        $this
            ->postJson(
                '/api/machines/RT-14/jobs',
                ['id' => (string) Str::uuid(), 'control' => 'throttle', 'check' => true],
            )
            ->assertConflict()
            ->assertJsonPath(
                'detail',
                'Reported of it: “Grip comes back slowly.” A check does not answer that. Start a job.',
            );
        self::assertSame(
            ['clutch' => true, 'throttle' => false],
            array_column($this->getJson('/api/machines/RT-14')->json('controls'), 'may_check', 'key'),
            'what would be refused is not offered',
        );
        $this->begin();
        $this
            ->postJson(
                '/api/machines/RT-14/controls/throttle/complaints',
                ['id' => (string) Str::uuid(), 'symptoms' => ['stays_open' => 'yes']],
            )
            ->assertCreated();
        $this
            ->postJson(
                '/api/intakes/'.$this->getJson('/api/machines/RT-14')->json('intakes.0.id').'/answer',
                ['answer' => 'Cause looked for'],
            )
            ->assertOk();
        $this
            ->postJson(
                '/api/machines/RT-14/jobs',
                ['id' => (string) Str::uuid(), 'control' => 'throttle', 'check' => true],
            )
            ->assertConflict()
            ->assertJsonPath('detail', 'Its cause is being looked for. A check does not answer that. Start a job.');
        self::assertSame(1, ControlJob::query()->count());
    }

    public function test_what_it_was_brought_in_with_is_asked_before_it_is_fit(): void
    {
        $this
            ->signIn('ines')
            ->postJson(
                '/api/machines/RT-14/controls/clutch/complaints',
                [
                    'id' => (string) Str::uuid(),
                    'symptoms' => ['slips' => 'yes', 'heavy' => 'no', 'soft' => 'not_tried'],
                ],
            )
            ->assertCreated();
        $job = HttpJob::open($this);
        $log = $this->getJson("/api/jobs/{$job->id}/file")->json('log');
        self::assertSame(['slips'], $log[0]['body']['standing']['symptoms']);
        $asked = array_column(
            array_merge(...array_column($this->getJson("/api/jobs/{$job->id}")->json('state.stages'), 'items')),
            'label',
            'key',
        );
        self::assertSame('Brought in for: slips under load. Gone?', $asked['check:gone_slips'] ?? null);
        self::assertArrayNotHasKey('check:gone_heavy', $asked);
    }
}
