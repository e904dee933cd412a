<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Control;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Reader;
use Symfony\Component\Process\Process;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** What falls due, who is here for it, and how the day is laid out. */
final class DueTest extends TestCase
{
    private const NODE = <<<'JS'
        import ICAL from 'ical.js';
        const calendar = new ICAL.Component(ICAL.parse(await new Promise((done) => { let all = ''; process.stdin.on('data', (d) => (all += d)).on('end', () => done(all)); })));
        console.log(JSON.stringify(calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one)).map((e) => [e.uid, e.summary, e.startDate.toString(), e.startDate.isDate])));
        JS;

    public function test_the_list_is_by_day_with_what_asks_for_it(): void
    {
        $this->dueOn('clutch', now()->addDays(3));
        $this->dueOn('throttle', now()->subDays(2));
        $due = $this->signIn('office')->getJson('/api/due')->assertOk()->json('due');
        self::assertSame(
            [['QB-03', -2], ['RT-14', -2], ['RT-14', 3]],
            array_map(
                static fn (array $row): array => [$row['tag'], $row['days']],
                array_merge(
                    array_filter($due, static fn ($r) => $r['tag'] === 'QB-03'),
                    array_filter($due, static fn ($r) => $r['tag'] === 'RT-14'),
                ),
            ),
        );
    }

    public function test_a_closed_job_falls_due_again_by_what_is_earliest(): void
    {
        $job = HttpJob::open($this->signIn());
        $job->line('tag for the test')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $control = Control::query()->where('key', 'clutch')->firstOrFail();
        self::assertSame(
            [now()->addMonths(6)->toDateString(), 6412 + 1600, 'practice interval'],
            [$control->due_on?->toDateString(), $control->due_usage, $control->due_why],
        );
        $this->postJson('/api/machines/RT-14/meter', ['id' => (string) Str::uuid(), 'face' => 8100])->assertOk();
        self::assertSame(now()->toDateString(), $control->refresh()->due_on?->toDateString(), 'its use is reached');
    }

    public function test_a_control_is_planned_for_a_day_and_taken_off(): void
    {
        $this
            ->signIn('mirre')
            ->putJson('/api/machines/RT-14/controls/clutch/plan', ['on' => now()->toDateString()])
            ->assertOk();
        self::assertSame(['RT-14'], array_column($this->getJson('/api/bench')->json('queue'), 'tag'));
        $this->putJson('/api/machines/RT-14/controls/clutch/plan', ['on' => 'tomorrow'])->assertUnprocessable();
        $this->putJson('/api/machines/RT-14/controls/wing/plan', ['on' => null])->assertNotFound();
        $this->putJson('/api/machines/RT-14/controls/clutch/plan', ['on' => null])->assertOk();
        self::assertSame([], $this->getJson('/api/bench')->json('queue'));
        // Late in the evening by the server, and the next day at the workshop.
        config(['app.workshop_timezone' => 'Asia/Tokyo']);
        $this->travelTo(now()->setTime(20, 0));
        $this->putJson('/api/machines/RT-14/controls/clutch/plan', ['on' => 'today'])->assertOk();
        self::assertSame(
            now()->addDay()->toDateString(),
            Control::query()->where('key', 'clutch')->firstOrFail()->planned_on?->toDateString(),
        );
    }

    public function test_the_day_fits_the_hours_of_those_who_are_here_and_says_what_does_not(): void
    {
        Control::query()->update(['planned_on' => now()->toDateString(), 'minutes' => 40]);
        $day = $this
            ->signIn()
            ->putJson(
                '/api/bench/present',
                ['people' => [['login' => 'ines', 'minutes' => 60], ['login' => 'mirre', 'minutes' => 45]]],
            )
            ->assertOk()
            ->json();
        self::assertSame(
            [['Ines', 60], ['Mirre', 45]],
            array_map(static fn (array $one): array => [$one['name'], $one['minutes']], $day['present']),
        );
        self::assertSame(['Ines', 'Mirre', null], array_column($day['queue'], 'person'));
        self::assertSame('cold', $day['queue'][0]['ready']);
        $this
            ->putJson('/api/bench/present', ['people' => [['login' => 'nobody', 'minutes' => 60]]])
            ->assertUnprocessable();
        $this
            ->putJson('/api/bench/present', ['people' => [['login' => 'ines', 'minutes' => 6000]]])
            ->assertUnprocessable();
        self::assertCount(2, $this->getJson('/api/bench')->json('present'), 'what was refused changed nothing');
        $this->putJson('/api/bench/present', ['people' => []])->assertOk()->assertJsonPath('present', []);
    }

    public function test_minutes_spent_stand_beside_those_planned(): void
    {
        $job = HttpJob::open($this->signIn());
        foreach ([4, 5, 30] as $minutes) {
            $this->travel($minutes)->minutes();
            $job->line('n still at it')->assertOk();
        }
        self::assertSame(9, $this->getJson('/api/bench')->json('queue.0.spent'), 'half an hour away is a pause');
        $job->line('tag for the test')->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        self::assertSame(
            [['RT-14', 12, 9, 'tagged']],
            array_map(
                static fn (array $one): array => [$one['tag'], $one['planned'], $one['spent'], $one['outcome']],
                $this->getJson('/api/bench')->json('done'),
            ),
        );
    }

    public function test_reports_wait_on_the_bench(): void
    {
        $this
            ->signIn('mirre')
            ->postJson('/api/machines/QB-03/intakes', ['id' => (string) Str::uuid(), 'words' => 'Grip sticks'])
            ->assertOk();
        self::assertSame('Grip sticks', $this->getJson('/api/bench')->json('intakes.0.words'));
    }

    public function test_the_calendar_is_valid_and_read_alike_by_two_readers(): void
    {
        $this->dueOn('clutch', CarbonImmutable::parse('2027-02-28'));
        Control::query()->where('key', 'clutch')->update(['due_why' => 'book; interval, "as printed"']);
        $path = $this->signIn()->postJson('/api/calendar')->assertOk()->json('path');
        $this->getJson('/api/due')->assertJsonPath('calendar', true);
        $text = (string) $this
            ->get($path)
            ->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
            ->getContent();
        $calendar = Reader::read($text);
        // RFC 5545 as sabre/vobject holds it.
        self::assertSame([], array_column($calendar->validate(), 'message'));
        self::assertMatchesRegularExpression('/\ABEGIN:VCALENDAR\r\n/', $text);
        $node = new Process(['node', '--input-type=module', '-e', self::NODE], base_path(), null, $text, 30);
        $events = json_decode($node->mustRun()->getOutput(), true);
        $id = Control::query()->where('key', 'clutch')->value('id');
        self::assertContains(["control-{$id}@vivid-pull", 'RT-14 Clutch lever', '2027-02-28', true], $events);
    }

    /** @return iterable<string, array{string}> */
    public static function wrongAddresses(): iterable
    {
        yield 'another secret' => [str_repeat('0', 48)];
        yield 'one that was put out of use' => ['old'];
    }

    #[DataProvider('wrongAddresses')]
    public function test_a_calendar_is_read_by_nobody_without_its_address(string $token): void
    {
        $path = $this->signIn()->postJson('/api/calendar')->json('path');
        if ($token === 'old') {
            $this->deleteJson('/api/calendar')->assertNoContent();
        }
        $this->get($token === 'old' ? $path : "/calendar/{$token}.ics")->assertNotFound();
        self::assertStringNotContainsString(
            basename($path, '.ics'),
            (string) User::query()->where('login', 'ines')->value('calendar_digest'),
        );
    }

    private function dueOn(string $key, mixed $day): void
    {
        Control::query()
            ->where('key', $key)
            ->update(['due_on' => CarbonImmutable::parse($day)->toDateString(), 'due_why' => 'practice interval']);
    }
}
