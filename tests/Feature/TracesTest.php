<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\JobHead;
use App\Chain\ChainCheck;
use App\Models\Trace;
use App\Sheets\JobSheet;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Validator;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\HttpJob;
use Tests\Support\Pulled;
use Tests\TestCase;

/** Pulls as curves over HTTP: taken whole or not at all, kept with the job, read for whoever looks. */
final class TracesTest extends TestCase
{
    private const HOW = 'point=lever_tip&to_stop=1&at_mm=120';

    private HttpJob $job;

    protected function setUp(): void
    {
        parent::setUp();
        $this->job = HttpJob::open($this->signIn());
    }

    public function test_a_curve_is_kept_read_and_logged_and_its_play_taken_as_a_reading(): void
    {
        $id = (string) Str::uuid();
        $this->keep($id, Pulled::csv(4))->assertOk();
        $view = $this->curve($id, self::HOW.'&instrument=caliper-1');

        self::assertSame(
            ['free_play', 'return_spring', 'take_up', 'plateau', 'end_stop'],
            array_column($view['phases'], 'kind'),
            'its springs are level',
        );
        self::assertEqualsWithDelta(Pulled::play(4), $view['told']['play_mm'], $view['told']['play_expanded_mm']);
        self::assertSame([1200, false], [$view['points'], $view['kept']]);
        $this->job->body('trace', $view['body'])->assertOk();
        self::assertSame($id, $this->job->state['beside']['traces'][0]['trace']);
        self::assertStringStartsWith(
            'Pull as a curve, 1200 points, free play ends at',
            (string) collect((array) $this->job->state['log'])->last()['what'],
        );
        self::assertSame($view['told'], $this->curve($id)['told'], 'as it stands in the log');
        self::assertTrue($this->curve($id)['kept']);

        $this->job
            ->ready()
            ->line((string) $view['line'], ['instrument' => 'caliper-1', 'point' => 'lever_tip'])
            ->assertOk();
        $entry = DB::table('entries')->where('kind', 'reading')->latest('seq')->value('body');
        $body = json_decode((string) $entry, true);
        self::assertEqualsWithDelta($view['told']['play_mm'], $body['mm'], 0.006);
        self::assertGreaterThan(
            $view['told']['play_expanded_mm'],
            $body['written_step_mm'],
            'known to so much either way',
        );
    }

    public function test_a_file_with_a_bad_line_is_kept_by_none_of_it(): void
    {
        $answer = $this->keep((string) Str::uuid(), str_replace("\n0.1", "\nx0.1", Pulled::csv(4)))->assertStatus(422);

        self::assertStringContainsString('is no travel', (string) $answer->json('detail'));
        self::assertNotEmpty($answer->json('missing'));
        self::assertSame(0, Trace::query()->count());
        self::assertStringContainsString(
            'larger than 12 MB',
            (string) $this
                ->keep((string) Str::uuid(), str_repeat('1', 12 * 1024 * 1024 + 1))
                ->assertStatus(422)
                ->json('detail'),
        );
        $this->keep((string) Str::uuid(), "\xFF\xD8\xFFhello")->assertStatus(422);
        $this->keep('no-uuid', Pulled::csv(4))->assertStatus(422);
    }

    public function test_a_repeat_is_kept_once_and_another_curve_under_its_id_is_refused(): void
    {
        $id = (string) Str::uuid();
        $this->keep($id, Pulled::csv(4))->assertOk();
        $this->keep($id, Pulled::csv(4))->assertOk();
        $this->keep($id, Pulled::csv(5))->assertStatus(409);
        self::assertSame(1, Trace::query()->count());
    }

    public function test_an_entry_says_what_its_curve_tells_and_nothing_else(): void
    {
        $id = (string) Str::uuid();
        $this->keep($id, Pulled::csv(4, isOnWrongSpline: true))->assertOk();
        $body = $this->curve($id, self::HOW)['body'];

        self::assertSame('return_only', $body['told']['reached']);
        self::assertStringContainsString(
            'not what the curve tells',
            (string) $this->job
                ->body('trace', ['told' => ['reached' => 'yes'] + $body['told']] + $body)
                ->assertStatus(422)
                ->json('detail'),
        );
        self::assertStringContainsString(
            'did not arrive',
            (string) $this->job
                ->body('trace', ['trace' => (string) Str::uuid()] + $body)
                ->assertStatus(422)
                ->json('detail'),
        );
        $this->job->body('trace', $body)->assertOk();
        self::assertContains(
            ['springs_reached', 'failed'],
            array_map(
                static fn (array $one): array => [$one['key'], $one['status']],
                (array) $this->job->state['gates'],
            ),
        );
    }

    public function test_earlier_curves_of_the_control_stand_behind_it_with_what_changed(): void
    {
        [$first, $second] = [(string) Str::uuid(), (string) Str::uuid()];
        $this->keep($first, Pulled::csv(4))->assertOk();
        $this->job->body('trace', $this->curve($first, self::HOW)['body'])->assertOk();
        $this->job->line('tag frayed wire')->assertOk();
        $this->job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $this->job = HttpJob::open($this->signIn('oda'));
        $this->keep($second, Pulled::csv(9))->assertOk();
        $view = $this->curve($second, self::HOW);

        self::assertSame([$first], array_column($view['earlier'], 'trace'));
        self::assertStringContainsString('than it was', implode(' ', $view['earlier'][0]['changes']));
        self::assertFalse($view['earlier'][0]['new_cable']);
        self::assertSame(
            [],
            $this->curve($second, 'point=lever_tip&to_stop=1&at_mm=90')['earlier'],
            'measured elsewhere, it does not compare',
        );
        $this->job->body('part', ['part' => 'cable', 'remark' => 'MH-2112'])->assertOk();
        $this->job->body('trace', $view['body'])->assertOk();
        $third = (string) Str::uuid();
        $this->keep($third, Pulled::csv(11))->assertOk();
        self::assertSame(
            [[$second, true], [$first, false]],
            array_map(
                static fn (array $one): array => [$one['trace'], $one['new_cable']],
                $this->curve($third, self::HOW)['earlier'],
            ),
        );
    }

    public function test_pulls_stand_in_the_story_of_the_machine_and_on_the_sheet_of_the_job(): void
    {
        [$first, $id] = [$this->job->id, ''];
        foreach ([4, 9] as $seed) {
            $id = (string) Str::uuid();
            $this->keep($id, Pulled::csv($seed))->assertOk();
            $this->job->body('trace', $this->curve($id, self::HOW)['body'])->assertOk();
            $this->job->line('tag frayed wire')->assertOk();
            $this->job->body('closed', ['outcome' => 'tagged'])->assertOk();
            $this->job = HttpJob::open($this->signIn('oda'));
        }
        $machine = $this->getJson('/api/machines/RT-14')->assertOk()->json();
        $clutch = collect((array) $machine['controls'])->firstWhere('key', 'clutch');

        self::assertStringStartsWith('Friction takes', (string) $clutch['pulls']);
        self::assertContains(
            $id,
            array_map(static fn (array $one): ?string => $one['pull']['trace'] ?? null, (array) $clutch['history']),
        );
        $sheet = view('sheets.job', JobSheet::of(JobHead::find($first)))->render();
        self::assertStringContainsString('Pulled as a curve', $sheet);
        self::assertStringContainsString('Free play ends at', $sheet);
        $this->get("/api/jobs/{$first}/sheet")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    }

    public function test_its_points_go_out_as_they_came_in(): void
    {
        $id = (string) Str::uuid();
        $this->keep($id, Pulled::csv(4))->assertOk();
        $csv = $this
            ->get("/api/jobs/{$this->job->id}/traces/{$id}/points")
            ->assertOk()
            ->assertHeader('Content-Type', 'text/csv; charset=utf-8');
        $json = $this->get("/api/jobs/{$this->job->id}/traces/{$id}/points?as=json")->assertOk();

        self::assertSame(Pulled::csv(4), $csv->getContent());
        self::assertSame(['vivid-pull/trace@1', 1200], [$json->json('format'), count((array) $json->json('points'))]);
        self::assertSame(['travel_mm', 'force_n', 'direction'], array_keys((array) $json->json('points.0')));
        $validator = new Validator;
        $validator
            ->resolver()
            ?->registerRaw(
                (string) file_get_contents(base_path('docs/formats/trace.schema.json')),
                'https://vivid-pull.example/schemas/trace-1.json',
            );
        self::assertTrue(
            $validator
                ->validate(json_decode((string) $json->getContent()), 'https://vivid-pull.example/schemas/trace-1.json')
                ->isValid(),
        );
    }

    public function test_a_pull_with_times_asks_how_far_it_was_and_gives_no_reading(): void
    {
        $id = (string) Str::uuid();
        $csv = preg_replace_callback(
            '/^([\d.]+)(,.*,(?:pull|release))$/m',
            static fn (array $one): string => (str_ends_with($one[2], 'pull')
                ? (float) $one[1] / 10
                : 20 - (float) $one[1] / 10)
                .$one[2],
            str_replace('travel_mm', 'time_s', Pulled::csv(4)),
        );
        $this->keep($id, (string) $csv)->assertOk();
        self::assertSame(
            'Its points have times and no travel. Say how far it was pulled.',
            $this->getJson("/api/jobs/{$this->job->id}/traces/{$id}?".self::HOW)->assertStatus(422)->json('detail'),
        );
        $view = $this->curve($id, self::HOW.'&reach_mm=60');

        self::assertSame([null, null], [$view['line'], $view['told']['play_mm'] ?? null]);
        self::assertStringStartsWith('about ', $view['findings'][0]['figure']);
        $this->job->body('trace', $view['body'])->assertOk();
        self::assertEquals(60, $this->job->state['beside']['traces'][0]['reach_mm']);
        self::assertSame($view['told'], $this->curve($id)['told']);
        self::assertArrayHasKey(
            'time_s',
            (array) $this->get("/api/jobs/{$this->job->id}/traces/{$id}/points?as=json")->json('points.0'),
        );
    }

    public function test_points_changed_by_hand_are_found(): void
    {
        $id = (string) Str::uuid();
        $this->keep($id, Pulled::csv(4))->assertOk();
        self::assertNull((new ChainCheck)->complaint());
        DB::table('traces')->where('id', $id)->update(['csv' => Pulled::csv(5)]);
        self::assertSame("The points of curve {$id} are not those that were taken in.", (new ChainCheck)->complaint());
    }

    public function test_typed_points_are_read_in_the_units_of_who_types_them(): void
    {
        $this->putJson('/api/session/units', ['lengths' => 'in', 'forces' => 'lbf_ft'])->assertOk();
        $id = (string) Str::uuid();
        $this
            ->keep(
                $id,
                implode(
                    "\n",
                    array_map(
                        static fn (int $n): string => 0.1 * $n.' '.($n < 5 ? 0.2 : 0.2 + ($n - 4) * 1.0),
                        range(0, 15),
                    ),
                ),
            )
            ->assertOk();

        self::assertStringContainsString(
            "\n38.1,",
            (string) $this->get("/api/jobs/{$this->job->id}/traces/{$id}/points")->getContent(),
        );
    }

    public function test_curves_are_for_those_who_may_log_and_are_signed_in(): void
    {
        $id = (string) Str::uuid();
        $this->get("/api/jobs/{$this->job->id}/traces/{$id}?".self::HOW)->assertNotFound();
        $this->get("/api/jobs/{$this->job->id}/traces/{$id}/points")->assertNotFound();
        $this->keep($id, Pulled::csv(4), (string) Str::uuid())->assertNotFound();
        $this->keep($id, Pulled::csv(4))->assertOk();
        $this->get("/api/jobs/{$this->job->id}/traces/{$id}?point=nowhere&to_stop=1")->assertStatus(422);
        $this->get("/api/jobs/{$this->job->id}/traces/{$id}?".self::HOW.'&instrument=of-wood')->assertStatus(422);
        $this->get("/api/jobs/{$this->job->id}/traces/{$id}?".self::HOW.'&at_mm=far')->assertStatus(422);
        $this->get("/api/jobs/{$this->job->id}/traces/{$id}")->assertNotFound();
        $this->signIn('office');
        $this->keep((string) Str::uuid(), Pulled::csv(4))->assertForbidden();
        $this->app->make('auth')->forgetGuards();
        $this->keep((string) Str::uuid(), Pulled::csv(4))->assertUnauthorized();
        $this->getJson("/api/jobs/{$this->job->id}/traces/{$id}")->assertUnauthorized();
        $this->getJson("/api/jobs/{$this->job->id}/traces/{$id}/points")->assertUnauthorized();
    }

    /** @return array<string, mixed> */
    private function curve(string $id, string $how = ''): array
    {
        return (array) $this
            ->getJson("/api/jobs/{$this->job->id}/traces/{$id}".($how === '' ? '' : "?{$how}"))
            ->assertOk()
            ->json();
    }

    /** @return TestResponse<Response> */
    private function keep(string $id, string $text, ?string $job = null): TestResponse
    {
        return $this->call(
            'PUT',
            '/api/jobs/'.($job ?? $this->job->id)."/traces/{$id}",
            server: ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'text/csv'],
            content: $text,
        );
    }
}
