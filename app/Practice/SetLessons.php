<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\PracticeTask;
use App\Models\User;
use App\Refusals\Forbidden;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** The lessons that a teacher set for somebody. */
final readonly class SetLessons
{
    /**
     * @return list<array{
     *     task: string, lesson: string, title: string, group: string, help: string, due_on: string|null,
     *     best: int|null, tries: int, open: string|null,
     * }> by day, those without one last
     */
    public static function of(User $user): array
    {
        $set = [];
        foreach (self::tasks($user) as $task) {
            $title = OwnLessons::title($task->lesson);
            if ($title !== null) {
                $set[] = [
                    'task' => $task->id,
                    'lesson' => $task->lesson,
                    'title' => $title,
                    'group' => $task->group->name,
                    'help' => $task->help->label(),
                    'due_on' => $task->due_on,
                ]
                    + Groups::result($task->attempts);
            }
        }

        return $set;
    }

    /** @throws Forbidden If it is set for others. */
    public static function find(string $id, User $user): PracticeTask
    {
        $task = PracticeTask::query()->findOrFail($id);

        return $task->group->people()->whereKey($user->id)->exists()
            ? $task
            : throw new Forbidden('This lesson is set for others.');
    }

    /**
     * The task that somebody begins with this lesson, from wherever they begin it: what is set without advice is not
     * tried with it first.
     */
    public static function waiting(User $user, string $lesson): ?PracticeTask
    {
        return self::tasks($user)->first(
            static fn (PracticeTask $task): bool => $task->lesson === $lesson
                && $task->attempts->whereNotNull('ended_at')->isEmpty(),
        );
    }

    /** @return Collection<int, PracticeTask> with what they did at it, by day, those without one last */
    private static function tasks(User $user): Collection
    {
        $tasks = PracticeTask::query()->whereHas(
            'group.people',
            static fn (Builder $people): Builder => $people->whereKey($user->id),
        )
            ->with(['group', 'attempts' => static fn ($attempts) => $attempts->where('user_id', $user->id)])->get();

        return $tasks
            ->sortBy(static fn (PracticeTask $task): array => [
                $task->due_on ?? '9999',
                $task->set_at->getTimestamp(),
                $task->id,
            ])
            ->values();
    }
}
