<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\PracticeAttempt;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use VividPull\Core\Family\Families;
use VividPull\Core\Practice\Lesson\FreeMachine;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\Lesson\Skill;

/** The lessons in the order in which they teach, with how somebody did in them, and what to go on with. */
final readonly class LessonList
{
    /** From here on a lesson is learned; ours. */
    public const LEARNED = 80;

    /** @return array<string, mixed> */
    public static function of(User $user): array
    {
        $attempts = PracticeAttempt::query()->where('user_id', $user->id)->orderBy('begun_at')->get();
        $rows = [
            ...array_map(static fn (Lesson $one): array => self::row($one, $attempts->where('lesson', $one->tale->key), false), LessonBook::all()),
            ...array_map(static fn (Lesson $one): array => self::row($one, $attempts->where('lesson', $one->tale->key), true), OwnLessons::all()),
        ];

        $free = $attempts->filter(static fn (PracticeAttempt $one): bool => $one->ended_at === null && preg_match(FreeMachine::KEY, $one->lesson) === 1)->last();

        return ['lessons' => $rows, 'skills' => self::skills($attempts), 'next' => self::next($rows), 'free' => $free?->id];
    }

    /**
     * @param  Collection<int, PracticeAttempt>  $attempts  at this lesson, oldest first
     * @return array<string, mixed>
     */
    private static function row(Lesson $lesson, Collection $attempts, bool $isOwn): array
    {
        $ended = $attempts->whereNotNull('ended_at');

        return [
            'key' => $lesson->tale->key, 'title' => $lesson->tale->title, 'teaches' => $lesson->tale->teaches, 'story' => $lesson->tale->story,
            'family' => $lesson->spec->family->value, 'family_title' => Families::of($lesson->spec->family)->title(),
            'best' => $ended->isEmpty() ? null : $ended->max(static fn (PracticeAttempt $one): int => self::total($one)),
            'tries' => $ended->count(),
            'own' => $isOwn,
            'open' => $attempts->whereNull('ended_at')->last()?->id,
        ];
    }

    public static function total(PracticeAttempt $attempt): int
    {
        $total = $attempt->score['total'] ?? 0;

        return is_int($total) ? $total : 0;
    }

    /**
     * What was shown of each skill, of what could be, over all that was ended.
     *
     * @param  Collection<int, PracticeAttempt>  $attempts
     * @return list<array{skill: string, label: string, share: float, tries: int}> the weakest first
     */
    public static function skills(Collection $attempts): array
    {
        $sums = [];
        foreach ($attempts->whereNotNull('ended_at') as $attempt) {
            foreach (is_array($attempt->score['skills'] ?? null) ? $attempt->score['skills'] : [] as $one) {
                $sums[$one['skill']][] = $one['points'] / $one['of'];
            }
        }
        $skills = [];
        foreach ($sums as $key => $shares) {
            $skill = Skill::tryFrom((string) $key);
            if ($skill !== null) {
                $skills[] = ['skill' => $skill->value, 'label' => $skill->label(), 'share' => round(array_sum($shares) / count($shares), 2), 'tries' => count($shares)];
            }
        }
        usort($skills, static fn (array $a, array $b): int => $a['share'] <=> $b['share']);

        return $skills;
    }

    /**
     * What is begun is gone on with; else the first that is not learned yet.
     *
     * @param  list<array<string, mixed>>  $rows
     */
    private static function next(array $rows): ?string
    {
        foreach ($rows as $row) {
            if ($row['open'] !== null) {
                return $row['key'];
            }
        }
        foreach ($rows as $row) {
            if ($row['best'] === null || $row['best'] < self::LEARNED) {
                return $row['key'];
            }
        }

        return null;
    }
}
