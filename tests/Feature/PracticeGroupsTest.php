<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PracticeAttempt;
use App\Models\PracticeGroup;
use App\Models\User;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\Lesson\LessonFile;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\Teaches;

/** Lessons that are set for those who learn together, and what comes next for one who is weak at something. */
final class PracticeGroupsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // Without what the demo sets.
        PracticeGroup::query()->delete();
    }

    public function test_a_lesson_is_set_worked_without_advice_and_seen_by_who_set_it(): void
    {
        [$group, $task] = $this->madeAndSet('lever_loose', 'none');
        $this->signIn('mirre');
        $set = $this->getJson('/api/practice')->assertOk()->json('set');
        self::assertSame(
            [[
                'task' => $task,
                'lesson' => 'lever_loose',
                'title' => 'A first clutch lever',
                'group' => 'Winter class',
                'help' => 'No advice',
                'due_on' => '2027-01-15',
                'best' => null,
                'tries' => 0,
                'open' => null,
            ]],
            $set,
        );

        $attempt = (string) Str::uuid();
        $begun = $this
            ->postJson('/api/practice/attempts', ['id' => $attempt, 'lesson' => 'lever_loose', 'task' => $task])
            ->assertCreated();
        self::assertSame(['none', false], [$begun->json('machine.help'), $begun->json('machine.is_advised')]);
        $this
            ->act($attempt, 'ask')
            ->assertStatus(422)
            ->assertJsonPath('detail', 'This lesson is worked without advice: turn what you would turn.');
        $this->act($attempt, 'guess', ['of' => 'barrel', 'by' => 1.0])->assertStatus(422);
        self::assertSame($attempt, $this->getJson('/api/practice')->json('set.0.open'));
        $this->act($attempt, 'stop')->assertOk()->assertJsonPath('is_over', true);

        $this->signIn('oda');
        $result = $this->getJson('/api/practice/groups')->assertOk()->json('groups.0.tasks.0.results');
        self::assertSame(['ines', 'mirre'], array_column($result, 'login'));
        self::assertSame(
            [[null, 0], [PracticeAttempt::query()->findOrFail($attempt)->score['total'] ?? null, 1]],
            array_map(static fn (array $one): array => [$one['best'], $one['tries']], $result),
        );

        $rows = array_map(
            static fn (string $line): array => str_getcsv($line, escape: ''),
            explode("\n", trim((string) $this->get('/api/export/practice')->assertOk()->getContent())),
        );
        self::assertSame(['help', 'group'], array_slice($rows[0], -2));
        self::assertSame(['none', 'Winter class'], array_slice($rows[count($rows) - 1], -2));

        // Taken back, it is set for nobody; what was done at it is still theirs.
        $this
            ->deleteJson("/api/practice/groups/{$group}/tasks/{$task}")
            ->assertOk()
            ->assertJsonPath('groups.0.tasks', []);
        $this->signIn('mirre');
        self::assertSame([], $this->getJson('/api/practice')->json('set'));
        $this->getJson("/api/practice/attempts/{$attempt}")->assertOk()->assertJsonPath('machine.help', 'none');
    }

    public function test_advice_stands_there_at_once_where_the_teacher_says_so(): void
    {
        [, $task] = $this->madeAndSet('lever_loose', 'shown');
        $this->signIn('mirre');
        $begun = $this
            ->postJson(
                '/api/practice/attempts',
                ['id' => (string) Str::uuid(), 'lesson' => 'lever_loose', 'task' => $task],
            )
            ->assertCreated();
        self::assertSame(['shown', true], [$begun->json('machine.help'), $begun->json('machine.is_advised')]);
    }

    public function test_a_machine_at_random_is_the_same_for_all(): void
    {
        [, $task] = $this->madeAndSet('free_twist_grip_4711', 'asked');
        $frames = [];
        foreach (['ines', 'mirre'] as $login) {
            $this->signIn($login);
            $id = (string) Str::uuid();
            $this
                ->postJson('/api/practice/attempts', ['id' => $id, 'lesson' => 'free_twist_grip_4711', 'task' => $task])
                ->assertCreated();
            $frames[] = PracticeAttempt::query()->findOrFail($id)->frame;
        }
        self::assertSame($frames[0], $frames[1]);
    }

    public function test_it_is_for_those_it_is_set_for_and_as_it_is_set(): void
    {
        [, $task] = $this->madeAndSet('lever_loose', 'asked');
        $this->signIn('tomas');
        self::assertSame([], $this->getJson('/api/practice')->json('set'));
        $this
            ->postJson(
                '/api/practice/attempts',
                ['id' => (string) Str::uuid(), 'lesson' => 'lever_loose', 'task' => $task],
            )
            ->assertForbidden();
        $this->signIn('mirre');
        $this
            ->postJson(
                '/api/practice/attempts',
                ['id' => (string) Str::uuid(), 'lesson' => 'lever_tight', 'task' => $task],
            )
            ->assertStatus(422)
            ->assertJsonPath('detail', 'Another lesson is set there.');
    }

    public function test_a_lesson_that_is_set_is_begun_as_it_is_set_from_wherever_it_is_begun(): void
    {
        [, $task] = $this->madeAndSet('lever_loose', 'none');
        $this->signIn('mirre');
        [$first, $again, $other] = [(string) Str::uuid(), (string) Str::uuid(), (string) Str::uuid()];
        $this
            ->postJson('/api/practice/attempts', ['id' => $other, 'lesson' => 'lever_tight'])
            ->assertCreated()
            ->assertJsonPath('machine.help', 'asked');
        $this
            ->postJson('/api/practice/attempts', ['id' => $first, 'lesson' => 'lever_loose'])
            ->assertCreated()
            ->assertJsonPath('machine.help', 'none');
        self::assertSame(
            [$task, null],
            [
                PracticeAttempt::query()->findOrFail($first)->task_id,
                PracticeAttempt::query()->findOrFail($other)->task_id,
            ],
        );
        self::assertSame($first, $this->getJson('/api/practice')->json('set.0.open'));
        $this->act($first, 'stop')->assertOk();
        // Once it was done as it is set, it is a lesson like any other.
        $this
            ->postJson('/api/practice/attempts', ['id' => $again, 'lesson' => 'lever_loose'])
            ->assertCreated()
            ->assertJsonPath('machine.help', 'asked');
        self::assertNull(PracticeAttempt::query()->findOrFail($again)->task_id);
        // For whom it is not set it never was more.
        $this->signIn('tomas');
        $this
            ->postJson('/api/practice/attempts', ['id' => (string) Str::uuid(), 'lesson' => 'lever_loose'])
            ->assertCreated()
            ->assertJsonPath('machine.help', 'asked');
    }

    public function test_a_group_is_changed_and_taken_out(): void
    {
        [$group] = $this->madeAndSet('lever_loose', 'asked');
        $this->putJson("/api/practice/groups/{$group}", ['name' => 'Spring class', 'people' => ['tomas']])->assertOk()
            ->assertJsonPath('groups.0.name', 'Spring class')->assertJsonPath(
                'groups.0.people',
                [['login' => 'tomas', 'name' => User::query()->where('login', 'tomas')->value('name')]],
            )
            ->assertJsonPath('groups.0.tasks.0.results.0.login', 'tomas');
        $this
            ->postJson('/api/practice/groups', ['id' => (string) Str::uuid(), 'name' => 'Autumn class', 'people' => []])
            ->assertCreated();
        $this
            ->putJson("/api/practice/groups/{$group}", ['name' => 'Autumn class', 'people' => ['tomas']])
            ->assertConflict()
            ->assertJsonPath('detail', 'Another group is called Autumn class. Give each its own name.');
        $this->putJson("/api/practice/groups/{$group}", ['name' => '', 'people' => ['tomas']])->assertStatus(422);
        $this
            ->deleteJson('/api/practice/groups/'.PracticeGroup::query()->where('name', 'Autumn class')->value('id'))
            ->assertOk();
        $this->deleteJson("/api/practice/groups/{$group}")->assertOk()->assertJsonPath('groups', []);
        $this->signIn('tomas');
        self::assertSame([], $this->getJson('/api/practice')->json('set'));
    }

    public function test_sent_twice_it_is_made_once(): void
    {
        $this->signIn('oda');
        [$group, $task] = [(string) Str::uuid(), (string) Str::uuid()];
        $made = ['id' => $group, 'name' => 'Twice', 'people' => ['mirre', 'mirre']];
        $this->postJson('/api/practice/groups', $made)->assertCreated();
        $this
            ->postJson('/api/practice/groups', $made)
            ->assertCreated()
            ->assertJsonCount(1, 'groups')
            ->assertJsonCount(1, 'groups.0.people');
        $set = ['id' => $task, 'lesson' => 'lever_tight', 'help' => 'asked', 'due_on' => null];
        $this->postJson("/api/practice/groups/{$group}/tasks", $set)->assertCreated();
        $this
            ->postJson("/api/practice/groups/{$group}/tasks", $set)
            ->assertCreated()
            ->assertJsonCount(1, 'groups.0.tasks');
        $this->postJson('/api/practice/groups', ['name' => 'Another'] + $made)->assertConflict();
        $this->postJson("/api/practice/groups/{$group}/tasks", ['lesson' => 'lever_loose'] + $set)->assertConflict();
        $this
            ->postJson('/api/practice/groups', ['id' => (string) Str::uuid()] + $made)
            ->assertConflict()
            ->assertJsonPath('detail', 'Another group is called Twice. Give each its own name.');
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function badTasks(): iterable
    {
        $good = [
            'id' => '0b6f5d3e-6d2a-4f9b-9c5e-1f2a3b4c5d6e',
            'lesson' => 'lever_loose',
            'help' => 'asked',
            'due_on' => null,
        ];
        yield 'a lesson that is none' => [['lesson' => 'lever_of_nobody'] + $good];
        yield 'a help that is none' => [['help' => 'plenty'] + $good];
        yield 'a day that is none' => [['due_on' => '2027-02-30'] + $good];
        yield 'an id that is none' => [['id' => 'x'] + $good];
        yield 'a key too much' => [['for' => 'mirre'] + $good];
    }

    /** @param  array<string, mixed>  $task */
    #[DataProvider('badTasks')]
    public function test_what_cannot_be_set_is_refused_with_a_sentence(array $task): void
    {
        [$group] = $this->madeAndSet('lever_loose', 'asked');
        $answer = $this->postJson("/api/practice/groups/{$group}/tasks", $task)->assertStatus(422);
        self::assertStringEndsWith('.', (string) $answer->json('detail'));
        $this->getJson('/api/practice/groups')->assertJsonCount(1, 'groups.0.tasks');
    }

    public function test_somebody_who_is_nobody_here_is_in_no_group(): void
    {
        $this->signIn('oda');
        $this
            ->postJson(
                '/api/practice/groups',
                ['id' => (string) Str::uuid(), 'name' => 'Ghosts', 'people' => ['mirre', 'nobody']],
            )
            ->assertStatus(422)
            ->assertJsonPath('detail', 'Nobody here signs in as nobody.');
        $this->getJson('/api/practice/groups')->assertJsonPath('groups', []);
    }

    public function test_the_next_lesson_is_for_what_somebody_is_weakest_at(): void
    {
        $this->signIn('mirre');
        self::assertSame(
            ['lever_loose', null],
            [$this->getJson('/api/practice')->json('next'), $this->getJson('/api/practice')->json('next_for')],
        );
        foreach (['lever_loose', 'lever_tight', 'lever_right'] as $key) {
            $this->ended($key, ['reading' => 14, 'order' => 5, 'cause' => 2]);
        }
        $list = $this->getJson('/api/practice')->json();
        self::assertSame(['cause', false], [$list['skills'][0]['skill'], $list['skills'][0]['good']]);
        self::assertSame(['lever_spline', 'The cause'], [$list['next'], $list['next_for']]);
        $lesson = LessonBook::find('lever_spline');
        self::assertTrue($lesson !== null && Teaches::is($lesson, Skill::Cause));
        // Strong at everything, they go on in the order of the book.
        PracticeAttempt::query()->delete();
        foreach (['lever_loose', 'lever_tight', 'lever_right'] as $key) {
            $this->ended($key, ['reading' => 15, 'order' => 5, 'cause' => 9]);
        }
        self::assertSame(
            ['lever_home', null],
            [$this->getJson('/api/practice')->json('next'), $this->getJson('/api/practice')->json('next_for')],
        );
    }

    /** @param  array<string, int>  $points  by skill */
    private function ended(string $lesson, array $points): void
    {
        $skills = array_map(
            static fn (string $skill, int $got): array => [
                'skill' => $skill,
                'points' => $got,
                'of' => Skill::from($skill)->weight(),
            ],
            array_keys($points),
            $points,
        );
        PracticeAttempt::query()->create([
            'id' => (string) Str::uuid(),
            'user_id' => User::query()->where('login', 'mirre')->value('id'),
            'lesson' => $lesson,
            'begun_at' => now(),
            'ended_at' => now(),
            'help' => 'asked',
            'frame' => json_encode(
                LessonFile::encode(LessonBook::find($lesson) ?? self::fail($lesson)),
                JSON_THROW_ON_ERROR,
            ),
            'score' => ['total' => 85, 'skills' => $skills],
        ]);
    }

    /** @return array{string, string} a group of two, and what is set for it; a lead is signed in */
    private function madeAndSet(string $lesson, string $help): array
    {
        $this->signIn('oda');
        [$group, $task] = [(string) Str::uuid(), (string) Str::uuid()];
        $this
            ->postJson(
                '/api/practice/groups',
                ['id' => $group, 'name' => 'Winter class', 'people' => ['mirre', 'ines']],
            )
            ->assertCreated();
        $this
            ->postJson(
                "/api/practice/groups/{$group}/tasks",
                ['id' => $task, 'lesson' => $lesson, 'help' => $help, 'due_on' => '2027-01-15'],
            )
            ->assertCreated();

        return [$group, $task];
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function act(string $attempt, string $act, array $more = []): TestResponse
    {
        return $this->postJson(
            "/api/practice/attempts/{$attempt}/acts",
            ['id' => (string) Str::uuid(), 'at' => '2026-01-01T08:00:00+00:00', 'act' => $act] + $more,
        );
    }
}
