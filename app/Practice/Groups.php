<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\PracticeAttempt;
use App\Models\PracticeGroup;
use App\Models\PracticeTask;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Practice\Lesson\Help;

/** Who learns together, the lessons set for them, and how far each is; for who teaches. */
final readonly class Groups
{
    private const MOST_GROUPS = 50;

    private const MOST_TASKS = 100;

    /** @return array<string, mixed> */
    public static function all(): array
    {
        $groups = PracticeGroup::query()->with(['people', 'tasks.attempts'])->orderBy('name')->get();

        return [
            'groups' => $groups->map(self::group(...))->values()->all(),
            'people' => array_map(
                self::person(...),
                array_values(User::query()->whereNull('left_at')->orderBy('name')->get()->all()),
            ),
            'helps' => array_map(
                static fn (Help $one): array => ['help' => $one->value, 'label' => $one->label()],
                Help::cases(),
            ),
        ];
    }

    /**
     * The same id makes it once.
     *
     * @param  list<string>  $logins
     *
     * @throws Conflict If the name or the id is another group's.
     */
    public static function make(string $id, string $name, array $logins, CarbonImmutable $now): void
    {
        if (PracticeGroup::query()->count() >= self::MOST_GROUPS) {
            throw Refused::because('There are '.self::MOST_GROUPS.' groups already. Take one out first.');
        }
        DB::transaction(static function () use ($id, $name, $logins, $now): void {
            $group = PracticeGroup::query()->firstOrCreate(['id' => $id], ['name' => $name, 'made_at' => $now]);
            if (! $group->wasRecentlyCreated && $group->name !== $name) {
                throw new Conflict('Another group was already made under this id.');
            }
            self::keep($group, $name, $logins);
        });
    }

    /** @param  list<string>  $logins */
    public static function change(PracticeGroup $group, string $name, array $logins): void
    {
        DB::transaction(static fn () => self::keep($group, $name, $logins));
    }

    /**
     * A lesson for everybody in it. The same id sets it once.
     *
     * @throws Conflict If the id is another task's.
     */
    public static function set(
        PracticeGroup $group,
        string $id,
        string $lesson,
        Help $help,
        ?string $dueOn,
        CarbonImmutable $now,
    ): void {
        if ($group->tasks->count() >= self::MOST_TASKS) {
            throw Refused::because('There are '.self::MOST_TASKS.' lessons set already. Take one back first.');
        }
        $task = PracticeTask::query()->firstOrCreate(
            ['id' => $id],
            ['group_id' => $group->id, 'lesson' => $lesson, 'help' => $help, 'due_on' => $dueOn, 'set_at' => $now],
        );
        if ($task->group_id !== $group->id || $task->lesson !== $lesson) {
            throw new Conflict('Another lesson was already set under this id.');
        }
    }

    /** @param  list<string>  $logins */
    private static function keep(PracticeGroup $group, string $name, array $logins): void
    {
        if (PracticeGroup::query()->whereKeyNot($group->id)->where('name', $name)->exists()) {
            throw new Conflict("Another group is called {$name}. Give each its own name.");
        }
        $people = User::query()->whereIn('login', $logins)->pluck('id', 'login');
        foreach ($logins as $login) {
            if (! $people->has($login)) {
                throw Refused::because("Nobody here signs in as {$login}.");
            }
        }
        $group->update(['name' => $name]);
        $group->people()->sync($people->values()->all());
    }

    /** @return array<string, mixed> */
    private static function group(PracticeGroup $group): array
    {
        $people = array_values($group->people->sortBy('name')->all());

        return [
            'id' => $group->id, 'name' => $group->name, 'people' => array_map(self::person(...), $people),
            'tasks' => $group->tasks
                ->sortBy([['set_at', 'asc'], ['id', 'asc']])
                ->map(static fn (PracticeTask $task): array => [
                    'id' => $task->id,
                    'lesson' => $task->lesson,
                    'title' => OwnLessons::title($task->lesson) ?? OwnLessons::GONE,
                    'help' => $task->help->value,
                    'help_label' => $task->help->label(),
                    'due_on' => $task->due_on,
                    'results' => array_map(
                        static fn (User $one): array => ['login' => $one->login, 'name' => $one->name]
                            + self::result($task->attempts->where('user_id', $one->id)),
                        $people,
                    ),
                ])->values()->all(),
        ];
    }

    /**
     * How far somebody is with a lesson that was set.
     *
     * @param  Collection<int, PracticeAttempt>  $attempts  theirs at it
     * @return array{best: int|null, tries: int, open: string|null}
     */
    public static function result(Collection $attempts): array
    {
        $ended = $attempts->whereNotNull('ended_at');

        return [
            'best' => $ended->isEmpty()
                ? null
                : $ended->max(static fn (PracticeAttempt $one): int => LessonList::total($one)),
            'tries' => $ended->count(),
            'open' => $attempts->whereNull('ended_at')->sortBy('begun_at')->last()?->id,
        ];
    }

    /** @return array{login: string, name: string} */
    private static function person(User $one): array
    {
        return ['login' => $one->login, 'name' => $one->name];
    }
}
