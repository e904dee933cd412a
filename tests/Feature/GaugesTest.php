<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gauges\Arrivals;
use App\Models\Audit;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\HttpJob;
use Tests\TestCase;

/** What gauges send: whose token it comes by, which job it is told to, and that it lands nowhere else. */
final class GaugesTest extends TestCase
{
    private const HERE = 'aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa';

    private const THERE = 'bbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbb';

    private string $token = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->withCredentials()->withCookie('vivid_device', self::HERE);
        $this->token = $this
            ->signIn('oda')
            ->postJson('/api/bridges', ['name' => 'Bench computer'])
            ->assertCreated()
            ->json('token');
        $this->bridge('PUT', 'here', ['carries' => ['caliper-1']])->assertOk();
    }

    public function test_a_reading_is_told_to_the_job_that_listens_and_is_logged_once(): void
    {
        $job = $this->listening();
        $sent = $this
            ->press('+004.20mm')
            ->assertOk()
            ->assertJsonPath('entered', '4.20 mm')
            ->assertJsonPath('told', 'RT-14, Clutch lever')
            ->json();
        self::assertSame([$sent['id']], array_column($this->waiting($job), 'id'));
        $job
            ->send([
                'id' => $sent['id'],
                'line' => '4.20 mm',
                'shown' => ['item' => $job->state['asks'], 'instrument' => 'caliper-1', 'gauge' => true],
            ])
            ->assertOk();
        self::assertStringContainsString('4.20 mm', $job->state['log'][array_key_last($job->state['log'])]['what']);
        self::assertSame([], $this->waiting($job), 'it is logged under its own id');
    }

    public function test_a_repeat_counts_once_and_another_under_its_id_is_refused(): void
    {
        $job = $this->listening();
        $id = (string) Str::uuid();
        $this->press('4.20 mm', id: $id)->assertOk();
        $this->press('4.20 mm', age: 900, id: $id)->assertOk();
        self::assertCount(1, $this->waiting($job));
        $this->press('4.30 mm', id: $id)->assertStatus(409);
    }

    public function test_where_nobody_listens_nothing_is_kept(): void
    {
        $this
            ->press('4.20 mm')
            ->assertStatus(409)
            ->assertJsonPath(
                'detail',
                'Caliper shows 4.20 mm, and no job listened to it then. Open the job, and let it speak there.',
            );
        $job = $this->listening();
        $this->press('4.20 mm', age: 5000)->assertStatus(409);
        self::assertSame([], $this->waiting($job), 'pressed before anybody listened');
        $this->deleteJson("/api/jobs/{$job->id}/gauges/caliper-1")->assertOk();
        $this->press('4.20 mm')->assertStatus(409);
    }

    public function test_a_gauge_speaks_to_one_job_and_the_other_says_where(): void
    {
        $first = $this->listening();
        $this->withCookie('vivid_device', self::THERE);
        $second = $this->listening('QB-03', 'throttle', 'tomas');
        $this->press('1.10 mm')->assertOk()->assertJsonPath('told', 'QB-03, Throttle grip');
        self::assertCount(1, $this->waiting($second));
        $this->signIn()->withCookie('vivid_device', self::HERE);
        $said = $this->getJson("/api/jobs/{$first->id}/gauges")->assertOk()->json();
        self::assertSame(
            [[], false, 'QB-03, Throttle grip (Tomas)'],
            [$said['waiting'], $said['gauges'][0]['here'], $said['gauges'][0]['elsewhere']],
        );
    }

    public function test_on_another_device_it_waits_and_is_handed_to_none(): void
    {
        $job = $this->listening();
        $this->press('4.20 mm')->assertOk();
        self::assertSame([], Arrivals::handOut($job->id, 'another', CarbonImmutable::now()));
        $short = substr(hash('sha256', self::HERE), 0, 12);
        self::assertSame(
            ['4.20 mm'],
            array_column(Arrivals::handOut($job->id, $short, CarbonImmutable::now()), 'entered'),
        );
        self::assertSame([], Arrivals::handOut($job->id, $short, CarbonImmutable::now()), 'one screen has it');
        self::assertCount(1, $this->waiting($job), 'and it is seen to wait until it is logged');
        $this->withCookie('vivid_device', self::THERE);
        self::assertSame(
            'Ines, on another device',
            $this->getJson("/api/jobs/{$job->id}/gauges")->json('gauges.0.elsewhere'),
        );
    }

    public function test_what_comes_late_is_said_to_be(): void
    {
        $this->travelTo('2026-06-15 14:00:00');
        $job = $this->listening();
        $this->travel(60)->seconds();
        $this->press('4.20 mm', age: 21_000)->assertOk();
        $this->press('4.30 mm', age: 1_000)->assertOk();
        self::assertSame(
            [['4.20 mm', true, '2026-06-15T14:00:39.000Z'], ['4.30 mm', false, '2026-06-15T14:00:59.000Z']],
            array_map(
                static fn (array $one): array => [$one['entered'], $one['late'], $one['at']],
                $this->waiting($job),
            ),
        );
    }

    public function test_one_dropped_waits_no_more(): void
    {
        $job = $this->listening();
        $id = $this->press('4.20 mm')->json('id');
        self::assertSame(
            [],
            $this->deleteJson("/api/jobs/{$job->id}/gauges/readings/{$id}")->assertOk()->json('waiting'),
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function nonsense(): iterable
    {
        yield 'garbage' => ['q$4', [], 'is not known'];
        yield 'no unit' => ['4.20', [], 'without a unit'];
        yield 'a force' => ['4.20 N', [], 'Caliper sent 4.20 N, which is a force; it shows a length.'];
        yield 'an instrument that is none' => [
            '4.20 mm',
            ['instrument' => 'nothing'],
            'No such instrument is on the shelf.',
        ];
        yield 'pressed the day before yesterday' => ['4.20 mm', ['age_ms' => 200_000_000], 'age_ms'];
        yield 'no id' => ['4.20 mm', ['id' => 'x'], 'this is not a UUID'];
        yield 'another unit' => ['4.20', ['unit' => 'furlong'], 'unit'];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_with_a_sentence(string $line, array $with, string $says): void
    {
        $job = $this->listening();
        self::assertStringContainsString(
            $says,
            (string) $this
                ->bridge(
                    'POST',
                    'readings',
                    $with + ['id' => (string) Str::uuid(), 'instrument' => 'caliper-1', 'line' => $line, 'age_ms' => 0],
                )
                ->assertStatus(422)
                ->json('detail'),
        );
        self::assertSame([], $this->waiting($job));
    }

    public function test_what_is_no_json_is_refused(): void
    {
        $this->call('POST', '/api/gauges/readings', [], [], [], $this->headers(), '{')->assertStatus(400);
        $this->call('POST', '/api/gauges/recordings', [], [], [], $this->headers(), '{')->assertStatus(400);
        $this->call('PUT', '/api/gauges/here', [], [], [], $this->headers(), '{')->assertStatus(400);
        $this->bridge('PUT', 'here', ['carries' => 'all'])->assertStatus(422);
    }

    public function test_a_token_does_one_thing_until_it_is_ended(): void
    {
        $this->app->make('auth')->forgetGuards();
        foreach (['/api/shelf', '/api/machines', '/api/bridges', '/api/bench'] as $path) {
            $this->call('GET', $path, [], [], [], $this->headers())->assertStatus(401);
        }
        $this
            ->call(
                'PUT',
                '/api/gauges/here',
                [],
                [],
                [],
                ['HTTP_AUTHORIZATION' => 'Bearer '.str_repeat('x', 40)] + $this->headers(),
                '{"carries": []}',
            )
            ->assertStatus(401)
            ->assertJsonPath('type', '/problems/unknown-token');
        $bridge = $this->signIn('oda')->getJson('/api/bridges')->assertOk()->json('bridges.0');
        self::assertSame([true, ['Caliper']], [$bridge['there'], $bridge['carries']]);
        self::assertSame([], $this->deleteJson("/api/bridges/{$bridge['id']}")->assertOk()->json('bridges'));
        $this
            ->bridge('PUT', 'here', ['carries' => []])
            ->assertStatus(401)
            ->assertJsonPath(
                'detail',
                'This token is not known here, or was ended. A lead makes a new one at Shelf, Gauges.',
            );
        $this->press('4.20 mm')->assertStatus(401);
        $this->deleteJson("/api/bridges/{$bridge['id']}")->assertNotFound();
        self::assertSame(
            ['gauge computer added', 'gauge computer ended'],
            Audit::query()->orderBy('id')->where('about', 'Bench computer')->pluck('action')->all(),
        );
        self::assertStringNotContainsString($this->token, (string) json_encode(Audit::query()->get()));
    }

    public function test_nobody_signed_in_sends_for_a_gauge(): void
    {
        $this->putJson('/api/gauges/here', ['carries' => []])->assertStatus(401);
        $this->postJson('/api/gauges/readings', [])->assertStatus(401);
    }

    public function test_simulated_gauges_are_there_in_the_demo_alone(): void
    {
        self::assertSame([], $this->getJson('/api/simulated')->assertOk()->json('gauges'));
        $this->postJson('/api/simulated/caliper', ['words' => ['press']])->assertNotFound();
        $folder = sys_get_temp_dir().'/vp-'.bin2hex(random_bytes(4));
        mkdir($folder);
        config(['app.simulated_gauges' => $folder]);
        $hears = stream_socket_server("unix://{$folder}/caliper.words");
        self::assertIsResource($hears);
        $gauges = (array) $this
            ->postJson(
                '/api/simulated/caliper',
                ['words' => ['lever 7', 'hang lever_loose', 'turn barrel -1.5', 'press']],
            )
            ->assertOk()
            ->json('gauges');
        self::assertSame(['caliper'], array_column($gauges, 'key'));
        self::assertContains(['key' => 'lever_loose', 'name' => 'A first clutch lever'], $gauges[0]['machines']);
        self::assertNotContains(
            ['key' => 'bail_right', 'name' => 'A bail that is right'],
            $gauges[0]['machines'],
            'nothing is read on it',
        );
        $told = stream_socket_accept($hears, 1);
        self::assertIsResource($told);
        self::assertSame("lever 7\nhang lever_loose\nturn barrel -1.5\npress\n", stream_get_contents($told));
        foreach ([
            'quit', 'say x', 'hang Lever', 'hang ../x', 'turn barrel', 'turn barrel 1e9', "press\nquit", 'press 12345',
        ] as $word) {
            $this->postJson('/api/simulated/caliper', ['words' => [$word]])->assertStatus(422);
        }
        fclose($hears);
        $this->postJson('/api/simulated/caliper', ['words' => ['press']])->assertStatus(422);
        $this->signIn('office')->postJson('/api/simulated/caliper', ['words' => ['press']])->assertStatus(403);
        unlink("{$folder}/caliper.words");
        rmdir($folder);
    }

    public function test_only_a_lead_keeps_the_computers_and_names_are_their_own(): void
    {
        $this->postJson('/api/bridges', ['name' => 'bench COMPUTER'])->assertStatus(409);
        $this->postJson('/api/bridges', ['name' => ''])->assertStatus(422);
        $this->raw('POST', '/api/bridges', '{')->assertStatus(400);
        $this->signIn()->getJson('/api/bridges')->assertStatus(403);
        $this->postJson('/api/bridges', ['name' => 'Mine'])->assertStatus(403);
        $this->deleteJson('/api/bridges/x')->assertStatus(403);
    }

    public function test_one_computer_cannot_flood_the_server(): void
    {
        $last = 200;
        for ($n = 0; $n < 320 && $last !== 429; $n++) {
            $last = $this->bridge('PUT', 'here', ['carries' => []])->getStatusCode();
        }
        self::assertSame(429, $last);
        $this->press('4.20 mm')->assertStatus(429);
        $this->record(self::pulled())->assertStatus(429);
    }

    public function test_who_is_not_on_the_job_lets_nothing_speak_there(): void
    {
        $job = HttpJob::open($this->signIn());
        $this->getJson("/api/jobs/{$job->id}/gauges/stream")->assertOk()->assertHeader('X-Accel-Buffering', 'no');
        $this->getJson('/api/jobs/none/gauges')->assertNotFound();
        $this->signIn('tomas')->putJson("/api/jobs/{$job->id}/gauges/caliper-1")->assertStatus(422);
        $this->signIn('office')->putJson("/api/jobs/{$job->id}/gauges/caliper-1")->assertStatus(403);
        $this->deleteJson("/api/jobs/{$job->id}/gauges/caliper-1")->assertStatus(403);
        $this->deleteJson("/api/jobs/{$job->id}/gauges/readings/x")->assertStatus(403);
        $this->getJson("/api/jobs/{$job->id}/gauges/stream")->assertStatus(403);
        $this->signIn()->putJson("/api/jobs/{$job->id}/gauges/nothing")->assertStatus(422);
        $this->withCookie('vivid_device', 'none')->putJson("/api/jobs/{$job->id}/gauges/caliper-1")->assertStatus(409);
        $this->getJson("/api/jobs/{$job->id}/gauges/stream")->assertStatus(409);
    }

    public function test_what_is_asked_in_words_is_not_answered_by_a_gauge(): void
    {
        $job = HttpJob::open($this->signIn());
        foreach (['4.20 mm' => 'is asked now. Nothing was logged.', '-0.02 mm' => 'below its zero'] as $line => $says) {
            $refused = $job
                ->line($line, ['instrument' => 'caliper-1', 'gauge' => true])
                ->assertStatus(422)
                ->json('detail');
            self::assertStringContainsString($says, (string) $refused);
        }
        $job->ready();
        $job->line('ok', ['gauge' => true])->assertStatus(422);
        $job->line('+1t', ['gauge' => true])->assertStatus(422);
        $job->line('12 N', ['gauge' => true])->assertStatus(422);
        $job->line('25.30 mm', ['instrument' => 'caliper-1', 'gauge' => true])->assertOk();
    }

    public function test_a_force_gauge_lies_on_the_shelf_and_is_not_what_play_is_read_with(): void
    {
        $force = [
            'name' => 'Spring balance',
            'kind' => 'force_gauge',
            'resolution_n' => '0.1 N',
            'reach_n' => '110 lbf',
            'calibration' => ['expanded_n' => 0.5, 'factor' => 2, 'due' => null],
        ];
        $kept = array_column(
            (array) $this->putJson('/api/shelf/pull-1', $force)->assertOk()->json('instruments'),
            null,
            'id',
        )['pull-1'];
        self::assertSame([0.1, 0.5], [$kept['resolution_n'], $kept['calibration']['expanded_n']]);
        self::assertEqualsWithDelta(489.304, $kept['reach_n'], 0.001);
        $this
            ->putJson(
                '/api/shelf/pull-2',
                ['name' => 'In mm', 'resolution_mm' => 0.1, 'reach_mm' => 500, 'calibration' => null]
                    + array_diff_key($force, ['resolution_n' => 1, 'reach_n' => 1]),
            )
            ->assertStatus(422);
        self::assertNotContains('pull-1', array_column(HttpJob::open($this->signIn())->state['shelf'], 'id'));
    }

    public function test_a_recorded_pull_is_a_curve_of_the_job_that_listens(): void
    {
        $job = $this->listening(gauge: 'pull-500');
        $lines = self::pulled();
        $sent = $this
            ->record($lines, $id = (string) Str::uuid())
            ->assertOk()
            ->assertJsonPath('told', 'RT-14, Clutch lever')
            ->json();
        self::assertSame('A pull of 7.8 s, up to 64 N,', $sent['entered']);
        $this->record($lines, $id)->assertOk();
        $waiting = $this->getJson("/api/jobs/{$job->id}/gauges")->json('recordings');
        self::assertSame(
            [[$id, 'Force gauge', 40, 7.8, 64.0, 0]],
            array_map(
                static fn (array $one): array => [
                    $one['trace'],
                    $one['name'],
                    $one['points'],
                    (float) $one['seconds'],
                    (float) $one['heaviest_n'],
                    $one['spoilt'],
                ],
                $waiting,
            ),
        );
        $this
            ->getJson("/api/jobs/{$job->id}/traces/{$id}?point=lever_tip&to_stop=1")
            ->assertStatus(422)
            ->assertJsonPath('detail', 'Its points have times and no travel. Say how far it was pulled.');
        $read = $this
            ->getJson("/api/jobs/{$job->id}/traces/{$id}?point=lever_tip&to_stop=1&reach_mm=60")
            ->assertOk()
            ->json();
        self::assertNull($read['line'], 'a hand is never steady enough for a reading');
        $job->send(['kind' => 'trace', 'body' => $read['body']])->assertOk();
        self::assertSame([], $this->getJson("/api/jobs/{$job->id}/gauges")->json('recordings'), 'it is kept');
    }

    public function test_a_recording_that_is_dropped_waits_no_more_and_another_job_never_has_it(): void
    {
        $job = $this->listening(gauge: 'pull-500');
        $other = HttpJob::open($this->signIn('tomas'), 'QB-03', 'throttle')->ready();
        $id = $this->signIn()->record(self::pulled())->json('id');
        self::assertSame([], $this->getJson("/api/jobs/{$other->id}/gauges")->json('recordings'));
        $this->deleteJson("/api/jobs/{$other->id}/gauges/recordings/{$id}")->assertOk();
        self::assertCount(1, $this->getJson("/api/jobs/{$job->id}/gauges")->json('recordings'));
        self::assertSame(
            [],
            $this->deleteJson("/api/jobs/{$job->id}/gauges/recordings/{$id}")->assertOk()->json('recordings'),
        );
    }

    public function test_a_recording_is_refused_where_nobody_listens_or_it_is_none(): void
    {
        $this
            ->record(self::pulled())
            ->assertStatus(409)
            ->assertJsonPath(
                'detail',
                'Force gauge shows up to 64 N, and no job listened to it then. Open the job, and let it speak there.',
            );
        $job = $this->listening(gauge: 'pull-500');
        self::assertStringContainsString(
            'which is no force',
            (string) $this
                ->record(array_map(static fn (array $one): array => [$one[0], '4.2 mm'], self::pulled()))
                ->assertStatus(422)
                ->json('detail'),
        );
        self::assertStringContainsString(
            'at least',
            (string) $this->record(array_slice(self::pulled(), 0, 12))->assertStatus(422)->json('detail'),
        );
        self::assertStringContainsString(
            'a line is its time in ms and what came',
            (string) $this->record([[1]])->assertStatus(422)->json('detail'),
        );
        self::assertStringContainsString(
            'Caliper shows a length',
            (string) $this
                ->bridge(
                    'POST',
                    'recordings',
                    [
                        'id' => (string) Str::uuid(),
                        'instrument' => 'caliper-1',
                        'lines' => self::pulled(),
                        'age_ms' => 0,
                    ],
                )
                ->assertStatus(422)
                ->json('detail'),
        );
        self::assertStringContainsString(
            'over at once',
            (string) $this
                ->record(array_map(static fn (array $one): array => [intdiv($one[0], 100), $one[1]], self::pulled()))
                ->assertStatus(422)
                ->json('detail'),
        );
        self::assertSame(
            [],
            $this->getJson("/api/jobs/{$job->id}/gauges")->json('recordings'),
            'nothing of it is kept',
        );
    }

    /** @return list<array{int, string}> five times a second, heavier and lighter again */
    private static function pulled(): array
    {
        return array_map(
            static fn (int $n): array => [
                $n * 200,
                sprintf('US,%+.1f N', $n <= 20 ? 4 + 3 * $n : 0.75 * (4 + 3 * (40 - $n))),
            ],
            range(0, 39),
        );
    }

    /**
     * @param  list<array<int, mixed>>  $lines
     * @return TestResponse<Response>
     */
    private function record(array $lines, ?string $id = null): TestResponse
    {
        return $this->bridge(
            'POST',
            'recordings',
            ['id' => $id ?? (string) Str::uuid(), 'instrument' => 'pull-500', 'lines' => $lines, 'age_ms' => 0],
        );
    }

    private function listening(
        string $machine = 'RT-14',
        string $control = 'clutch',
        string $login = 'ines',
        string $gauge = 'caliper-1',
    ): HttpJob {
        $job = HttpJob::open($this->signIn($login), $machine, $control)->ready();
        self::assertContains(
            $gauge,
            array_column(
                array_filter(
                    $this->putJson("/api/jobs/{$job->id}/gauges/{$gauge}")->assertOk()->json('gauges'),
                    static fn (array $one): bool => $one['here'],
                ),
                'instrument',
            ),
        );

        return $job;
    }

    /** @return list<array<string, mixed>> */
    private function waiting(HttpJob $job): array
    {
        return $this->getJson("/api/jobs/{$job->id}/gauges")->assertOk()->json('waiting');
    }

    /** @return TestResponse<Response> */
    private function press(string $line, int $age = 0, ?string $id = null): TestResponse
    {
        return $this->bridge(
            'POST',
            'readings',
            ['id' => $id ?? (string) Str::uuid(), 'instrument' => 'caliper-1', 'line' => $line, 'age_ms' => $age],
        );
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function bridge(string $method, string $path, array $body): TestResponse
    {
        return $this->call($method, "/api/gauges/{$path}", [], [], [], $this->headers(), (string) json_encode($body));
    }

    /** @return array<string, string> */
    private function headers(): array
    {
        return [
            'CONTENT_TYPE' => 'application/json',
            'HTTP_ACCEPT' => 'application/json',
            'HTTP_AUTHORIZATION' => "Bearer {$this->token}",
        ];
    }
}
