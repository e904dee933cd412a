<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\JobHead;
use App\Bench\JobLog;
use App\Models\ControlJob;
use App\Models\EntryRow;
use App\Models\Machine;
use App\Models\User;
use Carbon\CarbonImmutable;
use Database\Demo\DemoWorkshop;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Tests\TestCase;
use VividPull\Core\Bench\Bench;
use VividPull\Core\Tests\Support\Answers;

final class DemoTest extends TestCase
{
    private const ANSWERS = __DIR__.'/demo-answers.json';

    private const TABLES = [
        'practice_tasks', 'practice_group_people', 'practice_groups', 'complaint_answers', 'complaints', 'intakes',
        'presences', 'meter_readings', 'audits', 'spec_sketches', 'traces', 'entries', 'control_jobs', 'visits',
        'known_cables', 'controls', 'spec_versions', 'machines', 'instrument_checks', 'instruments', 'users',
    ];

    public function test_the_demo_is_the_same_for_the_same_day_and_tells_its_stories(): void
    {
        self::heldToTheEngine($this->loaded());
        self::assertGreaterThanOrEqual(12, Machine::query()->count());
        $this->actingAs(User::query()->where('login', 'ines')->firstOrFail());
        $this->travelTo('2026-06-15 14:00:00');
        $day = $this->getJson('/api/bench')->assertOk()->json();
        self::assertSame(['QB-05'], array_column($day['stopped'], 'tag'));
        self::assertContains('RT-14', array_column($day['queue'], 'tag'));
        self::assertSame(['Slips in the hills since spring.'], array_column($day['complaints'], 'words'));
        self::assertContains('cooling', array_column($day['queue'], 'ready'));
        self::assertContains('hot', array_column($day['queue'], 'ready'));
        self::assertNotNull($day['carry_on']);
        $this->getJson('/api/machines/RT-14')->assertOk()->assertJsonCount(4, 'controls.0.history');
        $choice = $this->getJson('/api/machines/RT-02')->assertOk()->json('controls.0.history.0');
        self::assertSame('by_choice', $choice['outcome']);
        self::assertNotSame('', $choice['reason']);
    }

    /**
     * What was logged, and what the engine says of every job of the demo, as it says of the examples (`bin/answers`):
     * both as they were when they were written down.
     */
    private static function heldToTheEngine(string $logged): void
    {
        $answers = [];
        foreach (ControlJob::query()->with('control.machine')->orderBy('opened_at')->orderBy('id')->get() as $job) {
            $of = "{$job->control->machine->tag} {$job->control->key} {$job->opened_at->format('Y-m-d H:i')}";
            $answers[$of] = Answers::hash([JobLog::of(JobHead::find($job->id))->replay()]);
        }
        self::assertGreaterThan(40, count($answers));
        $answers = ['everything that was logged' => $logged] + $answers;
        if (getenv('DEMO_ANSWERS') === 'write') {
            Answers::write($answers, self::ANSWERS);
        }
        $said = 'Where that is meant, raise Bench::ENGINE and run this with DEMO_ANSWERS=write.';
        self::assertSame(['engine' => Bench::ENGINE, 'answers' => $answers], Answers::written(self::ANSWERS), $said);
    }

    public function test_a_real_workshop_begins_with_one_lead_whose_password_is_shown_once(): void
    {
        $this->emptied();
        self::assertStringContainsString('shown only now', self::begun());
        $lead = User::query()->sole();
        self::assertSame(['lead', 'lead'], [$lead->login, $lead->role->value]);
        self::assertSame('', self::begun());
        self::assertSame(1, User::query()->count());
    }

    private static function begun(): string
    {
        self::assertSame(0, Artisan::call('workshop:begin'));

        return trim(Artisan::output());
    }

    /** A digest of everything that was loaded. */
    private function loaded(): string
    {
        $this->emptied();
        DemoWorkshop::load(CarbonImmutable::parse('2026-06-15 14:00:00'));

        return hash('sha256', (string) json_encode([
            EntryRow::query()->orderBy('id')->get(['id', 'seq', 'kind', 'body', 'at'])->toArray(),
            Machine::query()->orderBy('tag')->get(['tag', 'usage_reading', 'ran_until'])->toArray(),
        ]));
    }

    private function emptied(): void
    {
        Schema::withoutForeignKeyConstraints(static function (): void {
            foreach (self::TABLES as $table) {
                DB::table($table)->delete();
            }
        });
    }
}
