<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Instrument;
use App\Models\Machine;
use App\Models\SpecVersion;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** What a lead needs today: each thing stands there while it waits, and is gone as soon as it is done. */
final class LeadsDayTest extends TestCase
{
    public function test_what_waits_is_told_and_gone_when_it_is_done(): void
    {
        $this->signIn('oda');
        $before = $this->waiting();
        self::assertArrayNotHasKey('reported', $before);
        $spec = SpecVersion::query()->where('model', 'Tolvane Ridge 300')->where('control', 'clutch')->firstOrFail();
        SpecVersion::query()->create(
            ['version' => 2, 'checked_at' => null, 'checked_by_id' => null]
                + $spec->only(['model', 'control', 'name', 'minutes', 'body', 'run', 'entered_by_id']),
        );
        Machine::query()->create([
            'tag' => 'ZZ-1', 'name' => 'Nothing yet', 'kind' => 'mower', 'year' => 2026, 'place' => 'pier',
            'usage_reading' => 0, 'usage_unit' => 'h', 'ran_until' => now(),
        ]);
        Instrument::query()->create([
            'id' => 'old',
            'place' => 99,
            'body' => [
                'name' => 'Old rule',
                'kind' => 'steel_rule',
                'resolution_mm' => 0.5,
                'reach_mm' => 300,
                'calibration' => ['expanded_mm' => 0.1, 'factor' => 2, 'due' => '2020-01-01'],
            ],
        ]);
        $this
            ->postJson('/api/machines/RT-14/intakes', ['id' => (string) Str::uuid(), 'words' => 'pulls to the left'])
            ->assertOk();
        $now = $this->waiting();
        $job = HttpJob::open($this, 'RT-14', 'clutch');
        self::assertSame(
            ['RT-14, Tolvane Ridge 300', '“pulls to the left”', '/machines/RT-14'],
            array_values($now['reported'][0]),
        );
        self::assertStringContainsString('and whole', $now['drafts'][0]['says']);
        self::assertSame('/machines/ZZ-1/add', $now['bare'][0]['to']);
        self::assertSame('Old rule', $now['overdue'][0]['title']);
        self::assertArrayNotHasKey('open', $this->waiting(), 'opened this minute');
        self::assertArrayNotHasKey('reported', $this->waiting(), 'the job took it up');
        CarbonImmutable::setTestNow(CarbonImmutable::now()->addDays(2));
        self::assertSame("/jobs/{$job->id}", $this->waiting()['open'][0]['to']);
        $job->line('tag frayed, waits for a cable')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $tagged = array_column($this->waiting()['tagged'], 'says', 'to');
        self::assertSame('frayed, waits for a cable', $tagged['/machines/RT-14#clutch']);
        CarbonImmutable::setTestNow();
    }

    public function test_a_checked_version_waits_until_it_is_put_in_force(): void
    {
        $this->signIn('oda');
        self::assertArrayNotHasKey('checked', $this->waiting());
        $spec = SpecVersion::query()->where('model', 'Tolvane Ridge 300')->where('control', 'clutch')->firstOrFail();
        $next = SpecVersion::query()->create(
            ['version' => 2, 'checked_at' => now(), 'checked_by_id' => $spec->checked_by_id]
                + $spec->only(['model', 'control', 'name', 'minutes', 'body', 'run', 'entered_by_id']),
        );
        self::assertSame("/specs/{$next->id}", $this->waiting()['checked'][0]['to']);
        $this
            ->postJson(
                "/api/specs/{$next->id}/adopt",
                ['content' => $this->getJson("/api/specs/{$next->id}")->json('content')],
            )
            ->assertOk();
        self::assertArrayNotHasKey('checked', $this->waiting());
    }

    public function test_it_is_a_leads(): void
    {
        $this->signIn('tomas')->getJson('/api/shop/today')->assertForbidden();
    }

    /** @return array<string, list<array{title: string, says: string, to: string}>> */
    private function waiting(): array
    {
        return array_column($this->getJson('/api/shop/today')->assertOk()->json('groups'), 'rows', 'key');
    }
}
