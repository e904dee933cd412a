<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\ShopTables;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Support\HttpJob;
use Tests\TestCase;
use VividPull\Core\Practice\Lesson\LessonFile;

/**
 * Lessons over HTTP: worked like a job, judged by how the machine truly is, and apart from everything the shop keeps.
 */
final class PracticeTest extends TestCase
{
    private string $attempt = '';

    /** @var array<string, mixed> */
    private array $now = [];

    public function test_a_lesson_is_worked_to_its_end_and_judged(): void
    {
        $this->signIn('mirre');
        $this->begin('lever_right')->assertCreated();
        $this->makeReady();
        $mm = $this->read();
        self::assertEqualsWithDelta(15.5, $mm, 0.6);
        self::assertSame(
            [$mm, 6],
            [$this->now['machine']['held']['force'][1][0], (int) $this->now['machine']['held']['force'][1][1]],
            'where it begins to resist',
        );
        $this->goOn();
        $this->entry('closed', ['outcome' => 'fit'])->assertOk();

        self::assertTrue($this->now['is_over']);
        self::assertGreaterThanOrEqual(90, $this->now['score']['total']);
        self::assertStringContainsString('Lever tip 15.5 mm', end($this->now['deeds'])['truth']);
        $list = $this->getJson('/api/practice')->assertOk()->json();
        self::assertSame(
            [$this->now['score']['total'], 1, null],
            array_values(array_intersect_key(
                self::one($list['lessons'], 'key', 'lever_right'),
                ['best' => 0, 'tries' => 0, 'open' => 0],
            )),
        );
        $this->act('ask', [], 422);
    }

    public function test_nothing_of_it_is_in_the_shops_records(): void
    {
        $count = static fn (): array => array_map(
            static fn (string $table): int => DB::table($table)->count(),
            array_keys(ShopTables::EXPORTED),
        );
        $before = $count();
        $this->test_a_lesson_is_worked_to_its_end_and_judged();
        self::assertSame($before, $count());
        self::assertGreaterThan(10, DB::table('practice_deeds')->count());
        foreach ([
            '/api/bench',
            '/api/due',
            '/api/yard',
            '/api/complaints',
            '/api/export/readings',
            '/api/export/history',
        ] as $path) {
            self::assertStringNotContainsString($this->attempt, (string) $this->get($path)->getContent(), $path);
        }
        self::assertSame(
            [],
            array_intersect(['practice_attempts', 'practice_deeds'], array_keys(ShopTables::EXPORTED)),
        );
    }

    public function test_what_is_turned_and_what_is_written_are_two_things(): void
    {
        $this->signIn();
        $this->begin('lever_loose');
        $this->act('turn', ['of' => 'barrel', 'by' => 1.5]);
        self::assertSame(
            [['adjuster' => 'barrel', 'by' => 1.5, 'say' => 'barrel, out 1 turn and 3 flats']],
            $this->now['machine']['turned'],
        );
        self::assertSame(
            [],
            array_filter($this->now['job']['state']['log'], static fn (array $row): bool => $row['kind'] === 'move'),
        );
        $this->entry('move', ['adjuster' => 'barrel', 'turns' => 1.5])->assertOk();
        self::assertSame([], $this->now['machine']['turned']);
        self::assertNull($this->now['score'], 'nothing is told before it is over');
        $this->act('stop');
        self::assertSame(
            'Left undone: Lock the barrel.',
            self::one($this->now()['score']['skills'], 'skill', 'locked')['remarks'][0]['sentence'],
        );
        self::assertStringContainsString('Turned the barrel out 1 turn and 3 flats', $this->now['deeds'][0]['say']);
    }

    public function test_advice_is_there_once_somebody_said_what_they_would_do(): void
    {
        $this->signIn();
        $this->begin('lever_loose');
        self::assertFalse($this->now['machine']['is_advised']);
        $this->act('guess', ['of' => 'barrel', 'by' => 2]);
        self::assertSame(
            [true, 'barrel, out 2 turns'],
            [$this->now()['machine']['is_advised'], $this->now()['machine']['guess']['say']],
        );
        $this->entry('move', ['adjuster' => 'barrel', 'turns' => 2]);
        self::assertFalse($this->now['machine']['is_advised'], 'the next move is asked anew');
    }

    public function test_the_same_deed_counts_once_and_another_under_its_id_is_refused(): void
    {
        $this->signIn();
        $this->begin('lever_loose');
        $turn = [
            'id' => (string) Str::uuid(),
            'at' => '2026-01-01T08:00:00+00:00',
            'act' => 'turn',
            'of' => 'barrel',
            'by' => 1,
        ];
        $path = "/api/practice/attempts/{$this->attempt}/acts";
        $first = $this->postJson($path, $turn)->assertOk()->json();
        self::assertEquals($first, $this->postJson($path, $turn)->assertOk()->json());
        $this->postJson($path, ['by' => 2] + $turn)->assertStatus(409);
        $this->postJson('/api/practice/attempts', ['id' => $this->attempt, 'lesson' => 'lever_loose'])->assertOk();
        $this
            ->postJson('/api/practice/attempts', ['id' => $this->attempt, 'lesson' => 'lever_tight'])
            ->assertStatus(409);
        $entry = ['id' => $turn['id'], 'at' => $turn['at'], 'kind' => 'note', 'body' => ['text' => 'x']];
        $this->postJson("/api/practice/attempts/{$this->attempt}/entries", $entry)->assertStatus(409);
    }

    public function test_somebody_elses_attempt_is_theirs(): void
    {
        $this->signIn('mirre');
        $this->begin('lever_loose');
        $this->signIn('ines');
        $this->getJson("/api/practice/attempts/{$this->attempt}")->assertForbidden();
        $this
            ->postJson(
                "/api/practice/attempts/{$this->attempt}/acts",
                ['id' => (string) Str::uuid(), 'at' => '2026-01-01T08:00:00+00:00', 'act' => 'ask'],
            )
            ->assertForbidden();
        $this
            ->postJson(
                "/api/practice/attempts/{$this->attempt}/entries",
                ['id' => (string) Str::uuid(), 'at' => '2026-01-01T08:00:00+00:00', 'line' => 'all ok'],
            )
            ->assertForbidden();
        $this
            ->postJson('/api/practice/attempts', ['id' => $this->attempt, 'lesson' => 'lever_loose'])
            ->assertStatus(409);
    }

    public function test_what_is_not_on_the_machine_is_refused_in_a_sentence(): void
    {
        $this->signIn();
        $this->begin('lever_loose');
        foreach ([
            ['turn', ['of' => 'nowhere', 'by' => 1]],
            ['try', ['of' => 'snap_shut']],
            ['hold', ['point' => 'grip_flange']],
            ['cure', ['of' => 'gremlin']],
            ['turn', ['of' => 'barrel', 'by' => 1e9]],
            ['turn', ['of' => 'barrel']],
        ] as [$act, $more]) {
            self::assertNotSame('', (string) $this->act($act, $more, 422)->json('detail'));
        }
        self::assertSame(422, $this->entry('photo', ['id' => (string) Str::uuid(), 'what' => 'x'])->getStatusCode());
        $path = "/api/practice/attempts/{$this->attempt}";
        $this->raw('POST', "{$path}/acts", '{"half')->assertStatus(400);
        $this->raw('POST', "{$path}/entries", '{"half')->assertStatus(400);
        $this->raw('POST', '/api/practice/attempts', '{"half')->assertStatus(400);
        $this->begin('no_such_lesson')->assertNotFound();
        $this->postJson('/api/practice/attempts', ['id' => 'x', 'lesson' => 'lever_loose'])->assertStatus(422);
        $none = (string) Str::uuid();
        $this->getJson("/api/practice/attempts/{$none}")->assertNotFound();
        $this
            ->postJson(
                "/api/practice/attempts/{$none}/acts",
                ['id' => $none, 'at' => '2026-01-01T08:00:00+00:00', 'act' => 'ask'],
            )
            ->assertNotFound();
        $this
            ->postJson(
                "/api/practice/attempts/{$none}/entries",
                ['id' => $none, 'at' => '2026-01-01T08:00:00+00:00', 'line' => 'all ok'],
            )
            ->assertNotFound();
        self::assertSame(0, DB::table('practice_deeds')->where('attempt_id', $this->attempt)->count());
    }

    public function test_a_closed_job_becomes_a_lesson_that_names_nobody(): void
    {
        $this->signIn('oda');
        $job = HttpJob::open($this)->ready()->read('30.9', '31.1', '31');
        $made = [
            'id' => (string) Str::uuid(),
            'job' => $job->id,
            'title' => 'Slips in the hills',
            'teaches' => 'What came in last week.',
            'story' => 'Slips on every slope.',
        ];
        $this->postJson('/api/practice/lessons', $made)->assertStatus(422);
        $this->postJson('/api/practice/lessons', ['job' => 'none'] + $made)->assertNotFound();
        $job->body('tag', ['reason' => 'Waits for a cable.'])->assertOk();
        $job->body('closed', ['outcome' => 'tagged'])->assertOk();
        $list = (array) $this->postJson('/api/practice/lessons', $made)->assertCreated()->json('lessons');
        $own = self::one($list, 'own', true);
        self::assertSame('Slips in the hills', $own['title']);
        self::assertCount(
            count($list),
            (array) $this->postJson('/api/practice/lessons', $made)->assertCreated()->json('lessons'),
            'the same is made once',
        );
        $file = (string) $this->get("/api/practice/lessons/{$own['key']}")->assertOk()->getContent();
        self::assertStringNotContainsString('RT-14', $file);
        self::assertStringNotContainsString($job->id, $file);
        self::assertEqualsWithDelta(31.0, LessonFile::read($file)->found->play, 0.001);
        $this->signIn('mirre');
        $this->begin((string) $own['key'])->assertCreated();
        $this->getJson("/api/practice/lessons/{$own['key']}")->assertForbidden();
        $this->deleteJson("/api/practice/lessons/{$own['key']}")->assertForbidden();
    }

    public function test_a_lesson_comes_in_from_a_file_and_is_taken_out_again(): void
    {
        $this->signIn('oda');
        $file = str_replace(
            '"grip_pair"',
            '"our_grip"',
            (string) $this->get('/api/practice/lessons/grip_pair')->getContent(),
        );
        self::assertTrue(
            self::one(
                $this->raw('PUT', '/api/practice/lessons/our_grip', $file)->assertOk()->json('lessons'),
                'key',
                'our_grip',
            )['own'],
        );
        $this->raw('PUT', '/api/practice/lessons/another', $file)->assertStatus(422);
        $this
            ->raw('PUT', '/api/practice/lessons/our_grip', str_replace('"offset"', '"ofset"', $file))
            ->assertStatus(422);
        $this->raw('PUT', '/api/practice/lessons/our_grip', '{"half')->assertStatus(400);
        $this
            ->raw('PUT', '/api/practice/lessons/grip_pair', str_replace('our_grip', 'grip_pair', $file))
            ->assertStatus(409);
        $this->begin('our_grip')->assertCreated();
        $attempt = $this->attempt;
        $this->deleteJson('/api/practice/lessons/our_grip')->assertOk();
        $this->deleteJson('/api/practice/lessons/our_grip')->assertNotFound();
        $this->begin('our_grip')->assertNotFound();
        $this->getJson("/api/practice/attempts/{$attempt}")->assertOk();
    }

    public function test_a_lesson_goes_out_as_a_file_that_can_be_read_again(): void
    {
        $this->signIn('oda');
        $lesson = LessonFile::read((string) $this->get('/api/practice/lessons/grip_pair')->assertOk()->getContent());
        self::assertSame(['grip_pair', 0.4], [$lesson->tale->key, $lesson->found->secondPlay]);
        $this->getJson('/api/practice/lessons/none')->assertNotFound();
    }

    public function test_who_teaches_sees_how_everybody_does(): void
    {
        $this->signIn('mirre');
        $this->begin('lever_loose');
        $this->makeReady();
        $this->act('hold', ['point' => 'lever_tip']);
        $this->line('45 mm', ['item' => 'reading', 'point' => 'lever_tip', 'instrument' => 'rule']);
        $this->act('stop');
        $this->begin('lever_tight');
        $this->getJson('/api/practice/learners')->assertForbidden();
        $this->signIn('oda');
        $learners = $this->getJson('/api/practice/learners')->assertOk()->json('learners');
        self::assertSame(
            ['mirre', 0, 1, 'A lever with no play'],
            [$learners[0]['login'], $learners[0]['learned'], $learners[0]['tries'], $learners[0]['at']],
        );
        self::assertMatchesRegularExpression('/^Reads high by \d+\.\d mm$/', $learners[0]['remark']);
        $csv = (string) $this->get('/api/export/practice')->assertOk()->getContent();
        self::assertStringStartsWith('learner,lesson,begun,ended,total,moves,minutes,safe,reading', $csv);
        self::assertStringContainsString(',lever_loose,', $csv);
    }

    public function test_a_lesson_is_filled_in_by_hand_and_worked(): void
    {
        $this->signIn('oda');
        $form = (array) $this->getJson('/api/practice/lessons/grip_route/form')->assertOk()->json();
        self::assertSame(
            ['Grip flange', 4.0, false],
            [ucfirst($form['play']['label']), (float) $form['play']['size_mm'], $form['play']['taut']],
        );
        self::assertSame(['left' => true, 'right' => false], array_column($form['poses'], 'less', 'pose'));
        self::assertContains(
            ['fault' => 'route', 'label' => 'a cable on a wrong route', 'is' => true],
            $form['faults'],
        );
        $id = (string) Str::uuid();
        $filled = [
            'title' => 'Our own snag',
            'teaches' => 'Look at the route.',
            'story' => 'Came in on a trailer.',
            'told' => false,
            'play' => ['size_mm' => '1/8 in', 'taut' => false],
            'at' => array_column($form['adjusters'], 'at', 'id'),
            'faults' => ['dry'],
            'poses' => ['left' => ['slack_mm' => 0.3, 'less' => true]],
            'ratio_factor' => 1.1,
            'lock_creep' => 0.5,
        ];
        $list = [];
        foreach ([1, 2] as $ignored) {
            $list = $this
                ->postJson('/api/practice/lessons/grip_route/like', ['id' => $id, 'form' => $filled])
                ->assertCreated()
                ->json('lessons');
            self::assertCount(
                1,
                array_filter((array) $list, static fn (mixed $one): bool => is_array($one) && $one['own'] === true),
            );
        }
        $key = self::one($list, 'title', 'Our own snag')['key'];
        $file = $this->getJson("/api/practice/lessons/{$key}")->assertOk()->json();
        self::assertEqualsWithDelta(25.4 / 8, $file['true']['play_mm'], 1e-9, 'a size is read as it is typed');
        self::assertSame(
            [['dry'], ['left' => -0.3], false, 1.1, 0.5],
            [
                $file['true']['faults'],
                $file['true']['poses_mm'],
                $file['told'],
                $file['true']['ratio_factor'],
                $file['true']['lock_creep'],
            ],
        );
        LessonFile::read((string) json_encode($file));
        $this->signIn('mirre');
        $this->begin($key)->assertCreated()->assertJsonPath('lesson.story', 'Came in on a trailer.');
    }

    public function test_a_governor_is_filled_in_in_miles_and_measured(): void
    {
        $this->signIn('oda');
        $form = (array) $this
            ->getJson('/api/practice/lessons/pedal_governor/form')
            ->assertOk()
            ->assertJsonPath('speed_kmh', 26.5)
            ->json();
        $filled = [
            'title' => 'Too fast for the park',
            'teaches' => 'The nut comes last.',
            'story' => 'Came by itself.',
            'told' => true,
            'play' => ['size_mm' => 10, 'taut' => false],
            'at' => array_column($form['adjusters'], 'at', 'id'),
            'faults' => [],
            'poses' => (object) [],
            'ratio_factor' => 1,
            'lock_creep' => 0,
        ];
        $send = fn (mixed $speed): TestResponse => $this->postJson(
            '/api/practice/lessons/pedal_governor/like',
            ['id' => (string) Str::uuid(), 'form' => $speed === null ? $filled : $filled + ['speed_kmh' => $speed]],
        );
        self::assertStringContainsString(
            'speed_kmh',
            (string) $send(null)->assertStatus(422)->json('detail'),
            'its governor lets it reach something',
        );
        $key = self::one($send('20 mph')->assertCreated()->json('lessons'), 'title', 'Too fast for the park')['key'];
        $file = $this->getJson("/api/practice/lessons/{$key}")->assertOk()->json();
        self::assertEqualsWithDelta(20 * 1.609344, $file['true']['speed_kmh'], 1e-9);
        $this->begin($key)->assertCreated();
        self::assertNull(self::one($this->now['machine']['measures'], 'key', 'ground_speed')['saw']);
        $this->act('measure', ['of' => 'ground_speed']);
        self::assertEqualsWithDelta(
            32.2,
            (float) self::one($this->now['machine']['measures'], 'key', 'ground_speed')['saw'],
            1.5,
        );
        self::assertStringContainsString(
            'nothing of that',
            (string) $this->act('measure', ['of' => 'blade_stop'], 422)->json('detail'),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badForms(): iterable
    {
        yield 'a size that is none' => [['play' => ['size_mm' => 'plenty', 'taut' => false]], 'plenty'];
        yield 'a size too large' => [['play' => ['size_mm' => 900, 'taut' => false]], '500'];
        yield 'no play where there is one to read' => [['play' => null], 'play'];
        yield 'a fault that a lever does not show' => [
            ['faults' => ['belt']],
            'a control of this kind does not show a worn or slipped belt',
        ];
        yield 'an adjuster that is not there' => [['at' => ['clamp' => 1.0]], 'no such adjuster'];
        yield 'a place past the thread' => [['at' => ['barrel' => 400]], 'is not between'];
        yield 'a speed without a governor' => [['speed_kmh' => 20], 'this control has no governor'];
        yield 'no name' => [['title' => ' '], 'title'];
        yield 'what nothing here sets right' => [
            ['play' => ['size_mm' => 120, 'taut' => true]],
            'Nothing that turns on this machine would set it right',
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('badForms')]
    public function test_what_cannot_be_a_lesson_is_refused_with_a_sentence(array $change, string $said): void
    {
        $this->signIn('oda');
        $form = (array) $this->getJson('/api/practice/lessons/lever_loose/form')->assertOk()->json();
        $filled = array_filter(
            $change
                + [
                    'title' => 'Own',
                    'teaches' => 'What it is for.',
                    'story' => 'How it came.',
                    'told' => true,
                    'play' => ['size_mm' => 31, 'taut' => false],
                    'at' => array_column($form['adjusters'], 'at', 'id'),
                    'faults' => [],
                    'poses' => (object) [],
                    'ratio_factor' => 1,
                    'lock_creep' => 0,
                ],
            static fn (mixed $one): bool => $one !== null,
        );
        $answer = $this
            ->postJson('/api/practice/lessons/lever_loose/like', ['id' => (string) Str::uuid(), 'form' => $filled])
            ->assertStatus(422);
        self::assertStringContainsString($said, (string) $answer->json('detail'));
        self::assertSame(0, DB::table('practice_lessons')->count());
    }

    /** @return TestResponse<Response> */
    private function begin(string $lesson): TestResponse
    {
        $id = (string) Str::uuid();
        $answer = $this->postJson('/api/practice/attempts', ['id' => $id, 'lesson' => $lesson]);
        if ($answer->isSuccessful()) {
            $this->attempt = $id;
            $this->now = (array) $answer->json();
        }

        return $answer;
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function act(string $act, array $more = [], int $status = 200): TestResponse
    {
        return $this->after(
            $this
                ->postJson(
                    "/api/practice/attempts/{$this->attempt}/acts",
                    ['id' => (string) Str::uuid(), 'at' => '2026-01-01T08:00:00+00:00', 'act' => $act] + $more,
                )
                ->assertStatus($status),
        );
    }

    /** @param  array<string, mixed>  $shown */
    private function line(string $line, array $shown = []): void
    {
        $this->after(
            $this
                ->postJson(
                    "/api/practice/attempts/{$this->attempt}/entries",
                    [
                        'id' => (string) Str::uuid(),
                        'at' => '2026-01-01T08:00:00+00:00',
                        'line' => $line,
                        'shown' => (object) $shown,
                    ],
                )
                ->assertOk(),
        );
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function entry(string $kind, array $body): TestResponse
    {
        return $this->after($this->postJson(
            "/api/practice/attempts/{$this->attempt}/entries",
            [
                'id' => (string) Str::uuid(),
                'at' => '2026-01-01T08:00:00+00:00',
                'kind' => $kind,
                'body' => (object) $body,
            ],
        ));
    }

    /**
     * @param  TestResponse<Response>  $answer
     * @return TestResponse<Response>
     */
    private function after(TestResponse $answer): TestResponse
    {
        $this->now = $answer->isSuccessful() ? (array) $answer->json() : $this->now;

        return $answer;
    }

    private function makeReady(): void
    {
        $this->line('all ok');
        foreach (['wire', 'conduit', 'perch', 'arm'] as $part) {
            $this->act('look', ['of' => $part]);
        }
        $this->line('all ok');
        $this->line('cold');
        foreach (['barrel', 'bracket_nuts'] as $adjuster) {
            $at = self::one($this->now['machine']['adjusters'], 'id', $adjuster)['at'];
            $this->entry('thread', ['adjuster' => $adjuster, 'turns' => $at]);
        }
    }

    /** Pulled, and typed as near as a rule of half millimetres shows it. */
    private function read(string $item = 'reading'): float
    {
        $this->act('hold', ['point' => 'lever_tip', 'pose' => 'straight']);
        $mm = (float) $this->now['machine']['held']['mm'];
        $this->line(round($mm * 2) / 2 .' mm', ['item' => $item, 'point' => 'lever_tip', 'instrument' => 'rule']);

        return $mm;
    }

    /** Tries what is asked, and says what it showed, until nothing is open but the signature. */
    private function goOn(): void
    {
        for ($n = 0; $n < 30; $n++) {
            $stage = self::one($this->now['job']['state']['stages'], 'key', $this->now['job']['state']['stage']);
            $item = array_values(array_filter(
                (array) $stage['items'],
                static fn (mixed $one): bool => is_array($one) && $one['done'] !== true,
            ))[0]
                ?? null;
            if ($item === null || $item['kind'] === 'sign_off') {
                return;
            }
            if ($item['answers'] === []) {
                $this->read((string) $item['key']);

                continue;
            }
            $answer = $item['answers'][0];
            if ($item['topic'] === 'check') {
                $proof = substr((string) $item['key'], 6);
                $this->act('try', ['of' => $proof]);
                $saw = self::one($this->now['machine']['proofs'], 'key', $proof)['tries'][0]['saw'];
                $answer = self::one($item['answers'], 'label', $saw);
            }
            $this->entry($answer['kind'], $answer['body'])->assertOk();
        }
    }

    /** @return array<string, mixed> the attempt as it was last answered */
    private function now(): array
    {
        return $this->now;
    }

    /** @return array<string, mixed> the row in which this stands so */
    private static function one(mixed $rows, string $key, mixed $value): array
    {
        foreach (is_array($rows) ? $rows : [] as $row) {
            if (is_array($row) && $row[$key] === $value) {
                return $row;
            }
        }
        self::fail("No row has {$key} so.");
    }
}
