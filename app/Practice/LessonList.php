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
use VividPull\Core\Practice\Lesson\Teaches;

/** The lessons in the order in which they teach, with how somebody did in them, and what to go on with. */
final readonly class LessonList
{
    /** From here on a lesson is learned, and a skill is there; ours. */
    public const LEARNED = 80;

    /** So many lessons tell what somebody is weakest at; ours. */
    private const TELLING = 3;

    /** @return array<string, mixed> */
    public static function of(User $user): array
    {
        $attempts = self::attempts($user);
        [$book, $own] = [LessonBook::all(), OwnLessons::all()];
        $rows = [
            ...array_map(
                static fn (Lesson $one): array => self::row($one, $attempts->where('lesson', $one->tale->key), false),
                $book,
            ),
            ...array_map(
                static fn (Lesson $one): array => self::row($one, $attempts->where('lesson', $one->tale->key), true),
                $own,
            ),
        ];
        $free = $attempts
            ->filter(
                static fn (PracticeAttempt $one): bool => $one->ended_at === null
                    && preg_match(FreeMachine::KEY, $one->lesson) === 1,
            )
            ->last();
        $next = self::next($rows, [...$book, ...$own], $attempts);

        return [
            'lessons' => $rows,
            'skills' => self::skills($attempts),
            'next' => $next['key'] ?? null,
            'next_for' => $next['for'] ?? null,
            'free' => $free?->id,
            'set' => SetLessons::of($user),
        ];
    }

    /** What somebody goes on with after a lesson that is over, other than that one; null where all is learned. */
    public static function after(User $user, string $key): ?string
    {
        $attempts = self::attempts($user);
        $all = array_values(array_filter(
            [...LessonBook::all(), ...OwnLessons::all()],
            static fn (Lesson $one): bool => $one->tale->key !== $key,
        ));

        return self::next(
            array_map(
                static fn (Lesson $one): array => self::row($one, $attempts->where('lesson', $one->tale->key), false),
                $all,
            ),
            $all,
            $attempts,
        )['key']
            ?? null;
    }

    /** @return Collection<int, PracticeAttempt> oldest first */
    private static function attempts(User $user): Collection
    {
        return PracticeAttempt::query()->where('user_id', $user->id)->orderBy('begun_at')->get();
    }

    /**
     * @param  Collection<int, PracticeAttempt>  $attempts  at this lesson, oldest first
     * @return array{key: string, best: int|null, open: string|null, ...}
     */
    private static function row(Lesson $lesson, Collection $attempts, bool $isOwn): array
    {
        $ended = $attempts->whereNotNull('ended_at');

        return [
            'key' => $lesson->tale->key, 'title' => $lesson->tale->title, 'teaches' => $lesson->tale->teaches,
            'story' => $lesson->tale->story,
            'family' => $lesson->spec->family->value, 'family_title' => Families::of($lesson->spec->family)->title(),
            'learned' => $ended->contains(static fn (PracticeAttempt $one): bool => self::total($one) >= self::LEARNED),
            'own' => $isOwn,
        ] + Groups::result($attempts);
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
     * @return list<array{skill: string, label: string, share: float, tries: int, good: bool}> the weakest first
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
                $share = round(array_sum($shares) / count($shares), 2);
                $skills[] = [
                    'skill' => $skill->value,
                    'label' => $skill->label(),
                    'share' => $share,
                    'tries' => count($shares),
                    'good' => 100 * $share >= self::LEARNED,
                ];
            }
        }
        usort($skills, static fn (array $a, array $b): int => $a['share'] <=> $b['share']);

        return $skills;
    }

    /**
     * What is begun is gone on with. Else the first that is not learned yet, and of those first one for what somebody
     * is weakest at.
     *
     * @param  list<array{key: string, best: int|null, open: string|null, ...}>  $rows
     * @param  list<Lesson>  $lessons  the same, in the same order
     * @param  Collection<int, PracticeAttempt>  $attempts
     * @return array{key: string, for: string|null}|null
     */
    private static function next(array $rows, array $lessons, Collection $attempts): ?array
    {
        foreach ($rows as $row) {
            if ($row['open'] !== null) {
                return ['key' => $row['key'], 'for' => null];
            }
        }
        $left = array_filter($rows, static fn (array $row): bool => ($row['best'] ?? 0) < self::LEARNED);
        $weakest = $attempts->whereNotNull('ended_at')->count() < self::TELLING
            ? null
            : self::skills($attempts)[0] ?? null;
        $skill = $weakest === null || $weakest['good'] ? null : Skill::from($weakest['skill']);
        $fitting = $skill === null
            ? []
            : array_filter(
                $left,
                static fn (int $place): bool => Teaches::is($lessons[$place], $skill),
                ARRAY_FILTER_USE_KEY,
            );
        $row = array_values($fitting)[0] ?? array_values($left)[0] ?? null;

        return $row === null ? null : ['key' => $row['key'], 'for' => $fitting === [] ? null : $skill->label()];
    }
}
