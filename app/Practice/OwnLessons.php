<?php

declare(strict_types=1);

namespace App\Practice;

use App\Bench\JobHead;
use App\Bench\JobLog;
use App\Models\User;
use App\Refusals\Conflict;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Practice\Lesson\AdvisedHand;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\Lesson\LessonFile;
use VividPull\Core\Practice\Lesson\LessonForm;
use VividPull\Core\Practice\Lesson\LessonFromJob;
use VividPull\Core\Practice\Lesson\LessonTale;

/** Lessons beside those of the book: made from a closed job, or taken in from a file. */
final readonly class OwnLessons
{
    private const MOST = 200;

    public const GONE = 'A lesson that was taken out';

    /** @return list<Lesson> oldest first */
    public static function all(): array
    {
        return array_map(
            static fn (mixed $frame): Lesson => LessonFile::read(is_string($frame) ? $frame : ''),
            array_values(DB::table('practice_lessons')->orderBy('made_at')->orderBy('key')->pluck('frame')->all()),
        );
    }

    /** Of the book, of the shop's own, or a machine at random; null where nothing is called so. */
    public static function find(string $key): ?Lesson
    {
        $frame = DB::table('practice_lessons')->where('key', $key)->value('frame');

        return is_string($frame) ? LessonFile::read($frame) : LessonBook::find($key);
    }

    /** As a list says it, without making it; null where nothing is called so. */
    public static function title(string $key): ?string
    {
        $frame = DB::table('practice_lessons')->where('key', $key)->value('frame');
        $own = is_string($frame) ? json_decode($frame, true, flags: JSON_THROW_ON_ERROR)['title'] ?? null : null;

        return is_string($own) ? $own : LessonBook::title($key);
    }

    /**
     * Taken in from a file. It has to be one that can be solved.
     *
     * @throws CoreError If it is not what the format says, or cannot be kept.
     */
    public static function take(string $key, string $json, User $user, CarbonImmutable $now): void
    {
        $lesson = LessonFile::read($json);
        if ($lesson->tale->key !== $key) {
            throw BadFile::at('$.key', "the file is of the lesson {$lesson->tale->key}.");
        }
        AdvisedHand::works($lesson);
        self::keep($lesson, $user, $now);
    }

    /**
     * Made from a closed job: the same id makes it once.
     *
     * @throws CoreError If it cannot be made from it.
     */
    public static function fromJob(JobHead $job, string $id, LessonTale $tale, User $user, CarbonImmutable $now): void
    {
        self::keep(
            LessonFromJob::of(JobLog::of($job)->replay(), $job->frame['run'], $tale, abs(crc32($id)) % 1_000_000),
            $user,
            $now,
        );
    }

    /**
     * Filled in by hand, on the machine of another lesson: the same id makes it once.
     *
     * @throws CoreError If something in it cannot be.
     */
    public static function fill(Lesson $like, string $id, Node $form, User $user, CarbonImmutable $now): void
    {
        self::keep(LessonForm::filledIn($like, $form, self::keyOf($id), abs(crc32($id)) % 1_000_000), $user, $now);
    }

    /** What a lesson that was made here is called in lists and files. */
    public static function keyOf(string $id): string
    {
        return 'own_'.substr(str_replace('-', '', $id), 0, 16);
    }

    public static function remove(string $key): bool
    {
        return DB::table('practice_lessons')->where('key', $key)->delete() > 0;
    }

    private static function keep(Lesson $lesson, User $user, CarbonImmutable $now): void
    {
        if (LessonBook::find($lesson->tale->key) !== null) {
            throw new Conflict("The book of lessons has one called {$lesson->tale->key}. Give this one another key.");
        }
        if (DB::table('practice_lessons')->count() >= self::MOST) {
            throw Refused::because('There are '.self::MOST.' lessons of your own already. Take one out first.');
        }
        DB::table('practice_lessons')->upsert(
            [[
                'key' => $lesson->tale->key,
                'frame' => json_encode(LessonFile::encode($lesson), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
                'made_by_id' => $user->id,
                'made_at' => $now->utc()->format('Y-m-d H:i:s.v'),
            ]],
            ['key'],
            ['frame'],
        );
    }
}
