<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice\Lesson;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Practice\Lesson\AdvisedHand;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\Lesson\LessonFile;
use VividPull\Core\Practice\Lesson\LessonFromJob;
use VividPull\Core\Practice\Lesson\LessonTale;
use VividPull\Core\Practice\Lesson\Scorer;

final class LessonFromJobTest extends TestCase
{
    /**
     * @return iterable<string, array{string}> jobs that end signed, of families with play, with a table and with
     *     neither
     */
    public static function jobs(): iterable
    {
        foreach ([
            'lever_loose', 'lever_tight', 'grip_loose', 'grip_pair', 'grip_dry', 'grip_route', 'pedal_pair',
            'pedal_spring', 'drive_slow', 'drive_belt', 'engage_loose', 'bail_conduit', 'mode_short', 'hook_slow',
            'brake_loose', 'other_stiff',
        ] as $key) {
            yield $key => [$key];
        }
    }

    /** A job worked on a machine whose truth is known comes back as a machine with that truth. */
    #[DataProvider('jobs')]
    public function test_what_was_found_and_put_right_is_the_hidden_truth(string $key): void
    {
        $true = LessonBook::find($key) ?? self::fail('gone');
        $made = self::made($true);
        $marks = 2.5 * $true->instruments[0]['resolution_mm'];
        self::assertEqualsWithDelta($true->found->play, $made->found->play, $marks);
        self::assertEqualsWithDelta($true->found->secondPlay ?? 0.0, $made->found->secondPlay ?? 0.0, $marks);
        self::assertEqualsWithDelta($true->found->offset, $made->found->offset, 2.1, 'as near as it was set');
        self::assertSame($true->found->at, $made->found->at);
        self::assertSame(
            array_map(static fn ($one): mixed => $one->cure(), $true->found->faults),
            array_map(static fn ($one): mixed => $one->cure(), $made->found->faults),
        );
        self::assertGreaterThanOrEqual(80, Scorer::judge(AdvisedHand::works($made))->total);
        self::assertEquals(
            $made,
            LessonFile::read(json_encode(LessonFile::encode($made), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)),
        );
    }

    public function test_a_job_that_is_open_is_none(): void
    {
        $lesson = LessonBook::find('lever_loose') ?? self::fail('gone');
        $moments = AdvisedHand::works($lesson)->moments();
        $this->expectException(Refused::class);
        $this->expectExceptionMessageMatches('/from a job that is closed/');
        LessonFromJob::of($moments[count($moments) - 1]->job, $lesson->wire, $lesson->tale, 1);
    }

    private static function made(Lesson $lesson): Lesson
    {
        return LessonFromJob::of(
            AdvisedHand::works($lesson)->job(),
            $lesson->wire,
            new LessonTale('our_own', 'Our own', 'What happened here.', 'Came in on a trailer.'),
            5,
        );
    }
}
