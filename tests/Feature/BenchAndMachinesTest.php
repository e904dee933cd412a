<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\ControlSummary;
use App\Http\Problems\Problem;
use App\Models\Control;
use App\Models\Machine;
use Illuminate\Database\UniqueConstraintViolationException;
use PDOException;
use Tests\Support\HttpJob;
use Tests\Support\Yard;
use Tests\TestCase;

final class BenchAndMachinesTest extends TestCase
{
    public function test_the_bench_lists_what_is_planned_and_what_is_open(): void
    {
        $this->signIn();
        $this->getJson('/api/bench')->assertOk()->assertJsonPath('queue', []);
        Control::query()->where('key', 'clutch')->update(['planned_on' => now()->toDateString()]);
        HttpJob::open($this, 'QB-03', 'throttle')->line('ok');
        $day = $this->getJson('/api/bench')->assertOk();
        self::assertSame(
            ['RT-14', 'QB-03'],
            array_column($day->json('queue'), 'tag') === ['QB-03', 'RT-14']
                ? ['RT-14', 'QB-03']
                : array_column($day->json('queue'), 'tag'),
        );
        self::assertSame('QB-03', $day->json('carry_on.tag'));
        self::assertSame('Make safe', $day->json('carry_on.control.stage'));
        self::assertSame('In neutral, parking brake set, wheels chocked.', $day->json('carry_on.control.next'));
        self::assertSame(24, $day->json('minutes'));
    }

    public function test_what_falls_due_soon_is_listed_earliest_first_and_only_the_first_few(): void
    {
        $this->signIn();
        array_map(Yard::add(...), ['RT-02', 'RT-11', 'SC-02', 'SC-05', 'QB-01']);
        $n = 0;
        foreach (Control::query()->orderByDesc('id')->get() as $control) {
            $control->forceFill(['due_on' => now()->addDays(++$n)->toDateString()])->save();
        }
        self::assertGreaterThan(10, $n);
        Machine::query()->where('tag', 'QB-01')->update(['retired_at' => now(), 'retired_why' => 'sold']);
        Control::query()
            ->whereHas('machine', static fn ($m) => $m->where('tag', 'SC-05'))
            ->update(['planned_on' => now()->toDateString()]);
        $tagged = Control::query()
            ->whereHas('machine', static fn ($m) => $m->where('tag', 'SC-02'))
            ->where('key', 'clutch')
            ->firstOrFail();
        $tagged->forceFill(['due_on' => null, 'summary' => ControlSummary::fromArray([
            'job' => 'x', 'at' => now()->toIso8601String(), 'by' => 'Oda', 'outcome' => 'tagged', 'record' => [],
            'tag' => ['reason' => 'Frayed', 'at' => now()->toIso8601String(), 'by' => 'Oda'],
        ])])->save();
        $day = $this->getJson('/api/bench')->assertOk();
        $due = $day->json('due');
        self::assertCount(8, $due);
        $days = array_column(array_column($due, 'control'), 'due_on');
        $sorted = $days;
        sort($sorted);
        self::assertSame($sorted, $days);
        self::assertNotContains('QB-01', array_column($due, 'tag'), 'retired');
        self::assertNotContains('SC-05', array_column($due, 'tag'), 'on the bench already');
        self::assertSame(['SC-02'], array_column($day->json('stopped'), 'tag'), 'a tag is shown whatever falls due');
        self::assertSame(['SC-05', 'SC-05'], array_column($day->json('queue'), 'tag'));
    }

    public function test_a_control_measured_cold_waits_until_the_engine_is(): void
    {
        $this->signIn();
        Control::query()->where('key', 'clutch')->update(['planned_on' => now()->toDateString()]);
        Machine::query()->where('tag', 'RT-14')->update(['ran_until' => now()->subHour()]);
        $row = $this->getJson('/api/bench')->json('queue.0');
        self::assertSame('cooling', $row['ready']);
        self::assertEqualsWithDelta(1 / 3, $row['cooled_share'], 0.01);
        $this->travel(3)->hours();
        self::assertSame('cold', $this->getJson('/api/bench')->json('queue.0.ready'));
    }

    public function test_machines_are_found_by_tag_plate_name_and_kind(): void
    {
        $this->signIn();
        foreach ([
            'rt-14' => 'RT-14',
            'sfp 514' => 'RT-14',
            'strand' => 'QB-03',
            'quad' => 'QB-03',
            'ridge  trail' => 'RT-14',
            'STRAND 450 qb' => 'QB-03',
            'rt14' => 'RT-14',
            'RT–14' => 'RT-14',
            'sfp514 ridge' => 'RT-14',
        ] as $find => $tag) {
            self::assertSame(
                [$tag],
                array_column($this->getJson('/api/machines?find='.urlencode($find))->json('machines'), 'tag'),
                $find,
            );
        }
        $this->getJson('/api/machines?find='.urlencode("%_' or 1=1 --"))->assertOk()->assertJsonPath('machines', []);
        $this->getJson('/api/machines?find[]=x')->assertOk();
        self::assertCount(2, $this->getJson('/api/machines')->json('machines'));
    }

    public function test_a_machine_shows_its_controls_and_an_unknown_tag_a_sentence(): void
    {
        $this->signIn();
        $machine = $this->getJson('/api/machines/RT-14')->assertOk();
        self::assertSame(['Clutch lever', 'Throttle grip'], array_column($machine->json('controls'), 'name'));
        self::assertSame('M8 × 1.25', $machine->json('controls.0.adjusters.0.thread'));
        self::assertNull($machine->json('controls.0.adjusters.0.at_mm'));
        $this
            ->getJson('/api/machines/ZZ-99')
            ->assertNotFound()
            ->assertJsonPath('detail', 'There is nothing under this address.');
    }

    public function test_other_addresses_of_the_api_are_not_there(): void
    {
        $this->signIn();
        $this->getJson('/api/rudder')->assertNotFound()->assertHeader('Content-Type', 'application/problem+json');
        $this->putJson('/api/bench', [])->assertNotFound();
    }

    public function test_two_who_do_the_same_in_one_moment_get_a_sentence(): void
    {
        $answer = Problem::response(new UniqueConstraintViolationException(
            'mariadb',
            'insert',
            [],
            new PDOException('Duplicate entry'),
        ));
        self::assertSame(409, $answer->getStatusCode());
        self::assertStringContainsString('Somebody did the same in this moment', (string) $answer->getContent());
    }

    public function test_every_other_address_is_the_one_page(): void
    {
        foreach (['/', '/machines/RT-14', '/jobs/some.thing'] as $path) {
            $this->get($path)->assertOk()->assertSee('<div id="root">', false);
        }
    }

    public function test_a_page_of_every_day_comes_with_its_screen_and_every_page_with_its_letters(): void
    {
        foreach ([
            '/' => 'BenchScreen', '/machines' => 'MachinesScreen', '/machines/RT-14' => 'MachineScreen',
            '/jobs/some.thing' => 'JobScreen', '/due' => 'DueScreen', '/shelf' => null, '/machines/RT-14/add' => null,
            '/trust' => null,
        ] as $path => $screen) {
            $page = (string) $this->get($path)->assertOk()->getContent();
            preg_match_all('#<script type="module" src="[^"]*/(\w+)-[^"]+"#', $page, $scripts);
            self::assertSame(
                // What is asked for first comes first; nobody is asked for who wants to trust the workshop.
                array_values(array_filter([$path === '/trust' ? null : 'first', 'system', 'main', $screen])),
                $scripts[1],
                $path,
            );
            preg_match_all('#<link rel="preload" href="[^"]*/(\w+)-[^"]+\.woff2" as="font"#', $page, $letters);
            self::assertSame(['atkinson', 'sofia'], $letters[1], $path);
        }
    }

    public function test_the_page_comes_with_headers_that_keep_others_out(): void
    {
        $response = $this->get('/');
        $response
            ->assertHeader('X-Content-Type-Options', 'nosniff')
            ->assertHeader('X-Frame-Options', 'DENY')
            ->assertHeader('Referrer-Policy', 'same-origin');
        self::assertStringContainsString(
            "default-src 'self'",
            (string) $response->headers->get('Content-Security-Policy'),
        );
    }
}
