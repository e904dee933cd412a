<?php

declare(strict_types=1);

namespace App\Practice;

use App\Exchange\Csv;
use App\Models\PracticeAttempt;
use App\Models\PracticeTask;
use Illuminate\Database\Eloquent\Collection;
use RuntimeException;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Quantity\Figure;

/** Everybody who learns here, for who teaches: where they are, what they are good at, and what not. */
final readonly class LearnerList
{
    /** mm on average from which on somebody reads high or low; ours. */
    private const READS_OFF = 0.3;

    /** @return array<string, mixed> */
    public static function all(): array
    {
        $learners = [];
        foreach (self::attempts()->groupBy('user_id') as $attempts) {
            $learners[] = self::row(new Collection(array_values($attempts->all())));
        }
        usort($learners, static fn (array $a, array $b): int => strcmp($a['name'], $b['name']));

        return ['learners' => $learners, 'lessons' => LessonBook::count()];
    }

    /** @return Collection<int, PracticeAttempt> oldest first */
    private static function attempts(): Collection
    {
        return PracticeAttempt::query()->with('user')->orderBy('begun_at')->get();
    }

    /**
     * @param  Collection<int, PracticeAttempt>  $attempts  of one person, oldest first
     * @return array{
     *     name: string, login: string, learned: int, tries: int, at: string|null, last: string,
     *     skills: list<array{skill: string, label: string, share: float, tries: int, good: bool}>,
     *     remark: string|null,
     * }
     */
    private static function row(Collection $attempts): array
    {
        $ended = $attempts->whereNotNull('ended_at');
        $user = $attempts->firstOrFail()->user;
        $learned = $ended
            ->filter(static fn (PracticeAttempt $one): bool => LessonList::total($one) >= LessonList::LEARNED)
            ->unique('lesson')
            ->count();
        $open = $attempts->whereNull('ended_at')->last();

        return [
            'name' => $user->name, 'login' => $user->login, 'learned' => $learned, 'tries' => $ended->count(),
            'at' => $open === null ? null : OwnLessons::title($open->lesson) ?? OwnLessons::GONE,
            'last' => $attempts->max(
                static fn (PracticeAttempt $one): string => ($one->ended_at ?? $one->begun_at)->toIso8601String(),
            ),
            'skills' => LessonList::skills($attempts),
            'remark' => self::reads($ended),
        ];
    }

    /** @param  Collection<int, PracticeAttempt>  $ended */
    private static function reads(Collection $ended): ?string
    {
        $high = array_filter(
            $ended->map(static fn (PracticeAttempt $one): mixed => $one->score['reads_high_mm'] ?? null)->all(),
            is_numeric(...),
        );
        $mean = $high === [] ? 0.0 : array_sum($high) / count($high);

        return abs($mean) < self::READS_OFF
            ? null
            : 'Reads '.($mean > 0 ? 'high' : 'low').' by '.Figure::length(abs($mean));
    }

    /**
     * A row for each attempt that was brought to an end; how much help there was, and the group it was set for, where
     * it was.
     */
    public static function csv(): string
    {
        $out = fopen('php://temp', 'r+');
        if ($out === false) {
            throw new RuntimeException('There is no room for a file.');
        }
        $skills = array_map(static fn (Skill $one): string => $one->value, Skill::cases());
        Csv::write($out, ['learner', 'lesson', 'begun', 'ended', 'total', 'moves', 'minutes', ...$skills, 'help', 'group']);
        $groups = PracticeTask::query()
            ->with('group')
            ->get()
            ->mapWithKeys(static fn (PracticeTask $one): array => [$one->id => $one->group->name]);
        foreach (self::attempts()->whereNotNull('ended_at') as $one) {
            $score = $one->score ?? [];
            $points = array_column(is_array($score['skills'] ?? null) ? $score['skills'] : [], 'points', 'skill');
            Csv::write(
                $out,
                [
                    $one->user->name,
                    $one->lesson,
                    $one->begun_at->toIso8601String(),
                    $one->ended_at?->toIso8601String(),
                    LessonList::total($one),
                    self::figure($score['moves'] ?? null),
                    self::figure($score['minutes'] ?? null),
                    ...array_map(
                        static fn (string $skill): float|int|null => self::figure($points[$skill] ?? null),
                        $skills,
                    ),
                    $one->help->value,
                    $groups[$one->task_id] ?? null,
                ],
            );
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }

    private static function figure(mixed $one): float|int|null
    {
        return is_int($one) || is_float($one) ? $one : null;
    }
}
