<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Family\Families;
use VividPull\Core\Practice\Control\DrawnJob;
use VividPull\Core\Practice\Control\Fault;
use VividPull\Core\Practice\Control\TrueControl;
use VividPull\Core\Practice\SeededChance;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\OutcomeTable;

/** A machine as chance has it, with something wrong that can be put right: the same for the same seed. */
final readonly class FreeMachine
{
    public const KEY = '/^free_([a-z_]+)_(\d{1,9})$/D';

    /** Drawings of a seed that are tried, at most; every few are neither right nor out of reach. */
    private const MOST = 200;

    /** One in so many has a fault beside its setting; where a family has nothing to set, each. */
    private const FAULTY = 0.4;

    /**
     * Of a band's width from its edges that it can be brought to: nearer, a caliper does not tell whether it is right.
     */
    private const TELLING = 0.1;

    /** Null where the key names no family. */
    public static function named(string $key): ?Lesson
    {
        $family = self::family($key);

        return $family === null ? null : self::of($family, (int) substr($key, (int) strrpos($key, '_') + 1));
    }

    /** Null where the key names no family. */
    public static function title(string $key): ?string
    {
        $family = self::family($key);

        return $family === null ? null : 'A machine at random: '.mb_strtolower(Families::of($family)->title());
    }

    private static function family(string $key): ?FamilyKey
    {
        return preg_match(self::KEY, $key, $parts) === 1 ? FamilyKey::tryFrom($parts[1]) : null;
    }

    public static function key(FamilyKey $family, int $seed): string
    {
        return "free_{$family->value}_{$seed}";
    }

    public static function of(FamilyKey $family, int $seed): Lesson
    {
        $lesson = self::drawn($family, $seed, 0);
        for ($n = 1; $n < self::MOST && ! self::isALesson($lesson); $n++) {
            $lesson = self::drawn($family, $seed, $n);
        }

        return $lesson;
    }

    private static function drawn(FamilyKey $family, int $seed, int $n): Lesson
    {
        $chance = new SeededChance($seed * self::MOST + $n + 1);
        $job = DrawnJob::of($family, $chance, $n < self::MOST / 2 ? self::FAULTY : 1.0);
        $title = mb_strtolower(Families::of($family)->title());
        $tale = new LessonTale(
            self::key($family, $seed),
            'A machine at random',
            "Find what is wrong with this {$title}, and put it right.",
            'Came in this morning. Nobody said what is wrong.',
        );

        return new Lesson(
            $tale,
            $job->spec,
            $job->wire,
            $job->found,
            $job->mechanics,
            [LessonBook::CALIPER, LessonBook::RULE],
            $job->spec->other(OutcomeTable::class) === null || $seed % 2 === 0,
            $seed,
        );
    }

    /** Something is plainly wrong, and one who sees it can put it right where an instrument tells that it is. */
    private static function isALesson(Lesson $lesson): bool
    {
        $control = $lesson->control();

        return ! $control->isAllButRight()
            && ! $control->hasWhatIsReplaced()
            && BestPlay::moves($lesson, self::cured($control), self::TELLING) !== null;
    }

    /** Its faults put right, as far as anything on the bench does. */
    public static function cured(TrueControl $control): TrueControl
    {
        $cured = clone $control;
        foreach (Fault::cases() as $fault) {
            if ($fault->cure() !== null) {
                $cured->cure($fault->cure());
            }
        }

        return $cured;
    }
}
