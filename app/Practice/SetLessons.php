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
    /** @return list<array{task: string, lesson: string, title: string, group: string, help: string, due_on: string|null, best: int|null, tries: int, open: string|null}> by day, those without one last */
    public static function of(User $user): array
    {
        $set = [];
        foreach (self::tasks($user)->sortBy(static fn (PracticeTask $task): array => [$task->due_on ?? '9999', $task->set_at->getTimestamp(), $task->id]) as $task) {
            $title = OwnLessons::title($task->lesson);
            if ($title !== null) {
                $set[] = ['task' => $task->id, 'lesson' => $task->lesson, 'title' => $title, 'group' => $task->group->name, 'help' => $task->help->label(), 'due_on' => $task->due_on] + Groups::result($task->attempts);
            }
        }

        return $set;
    }

    /** @throws Forbidden If it is set for others. */
    public static function find(string $id, User $user): PracticeTask
    {
        $task = PracticeTask::query()->findOrFail($id);

        return $task->group->people()->whereKey($user->id)->exists() ? $task : throw new Forbidden('This lesson is set for others.');
    }

    /** @return Collection<int, PracticeTask> with what they did at it */
    private static function tasks(User $user): Collection
    {
        return PracticeTask::query()->whereHas('group.people', static fn (Builder $people): Builder => $people->whereKey($user->id))
            ->with(['group', 'attempts' => static fn ($attempts) => $attempts->where('user_id', $user->id)])->get();
    }
}
