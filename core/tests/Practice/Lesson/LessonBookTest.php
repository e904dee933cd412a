<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice\Lesson;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Family\Families;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Practice\Lesson\AdvisedHand;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\Lesson\LessonFile;
use VividPull\Core\Practice\Lesson\MovesFile;
use VividPull\Core\Practice\Lesson\Score;
use VividPull\Core\Practice\Lesson\Scorer;
use VividPull\Core\Spec\FamilyKey;

/** Every lesson of the book: solved by the bench's own advice, and by nothing less. */
final class LessonBookTest extends TestCase
{
    private const FORMATS = __DIR__.'/../../../../docs/formats';

    /** @return iterable<string, array{Lesson}> */
    public static function lessons(): iterable
    {
        foreach (LessonBook::all() as $lesson) {
            yield $lesson->tale->key => [$lesson];
        }
    }

    public function test_there_are_forty_and_more_and_every_family_has_one(): void
    {
        $all = LessonBook::all();
        self::assertGreaterThanOrEqual(40, count($all));
        self::assertCount(
            count($all),
            array_unique(array_map(static fn (Lesson $one): string => $one->tale->key, $all)),
        );
        self::assertEqualsCanonicalizing(
            FamilyKey::cases(),
            array_values(array_unique(
                array_map(static fn (Lesson $one): FamilyKey => $one->spec->family, $all),
                SORT_REGULAR,
            )),
        );
    }

    #[DataProvider('lessons')]
    public function test_the_benchs_own_advice_solves_it(Lesson $lesson): void
    {
        $attempt = AdvisedHand::works($lesson);
        $score = Scorer::judge($attempt);
        self::assertGreaterThanOrEqual(90, $score->total);
        self::assertTrue($attempt->isEnded());
        self::assertSame(
            $attempt->control()->isRight(),
            $attempt->last() instanceof Closed,
            'signed where it is right, and tagged where it is not',
        );
    }

    #[DataProvider('lessons')]
    public function test_a_careless_hand_does_not(Lesson $lesson): void
    {
        $attempt = CarelessHand::works($lesson);
        $score = Scorer::judge($attempt);
        self::assertLessThan(50, $score->total);
        if ($attempt->control()->isUnsafe()) {
            self::assertLessThanOrEqual(Score::FALSELY_FIT, $score->total);
        }
        $said = implode(
            "\n",
            array_merge(...array_map(
                static fn ($skill): array => array_map(
                    static fn ($remark): string => $remark->sentence,
                    $skill->remarks,
                ),
                $score->skills,
            )),
        );
        self::assertStringContainsString(
            'without being tried',
            $said.(str_contains($said, 'not tried, and what was written is not so') ? 'without being tried' : ''),
        );
        if ($lesson->run->adjusters() !== []) {
            self::assertStringContainsString('Hands were on it before it was safe', $said);
            self::assertMatchesRegularExpression(
                '/was turned(, and no word of it was written| by .+, and .+ was written)/',
                $said,
            );
        }
    }

    #[DataProvider('lessons')]
    public function test_nothing_done_is_no_answer(Lesson $lesson): void
    {
        $attempt = new Attempt(
            $lesson,
            new Person('hand', 'Hand', Role::Technician),
            'opened',
            '2026-01-01T08:00:00+00:00',
        );
        self::assertLessThan(50, Scorer::judge($attempt)->total);
    }

    #[DataProvider('lessons')]
    public function test_it_goes_out_and_in_as_it_is(Lesson $lesson): void
    {
        $json = json_encode(LessonFile::encode($lesson), JSON_THROW_ON_ERROR);
        self::assertEquals($lesson, LessonFile::read($json));
        self::assertTrue(self::fits('lesson', $json));
    }

    public function test_what_puts_a_fault_right_can_be_chosen_on_its_machine(): void
    {
        $met = 0;
        foreach (LessonBook::all() as $lesson) {
            foreach ($lesson->found->faults as $fault) {
                self::assertContains(
                    $fault->cure(),
                    [...Families::of($lesson->spec->family)->cures(), null],
                    $lesson->tale->key,
                );
                $met++;
            }
        }
        self::assertGreaterThan(10, $met);
    }

    public function test_the_same_moves_come_to_the_same(): void
    {
        $lesson = LessonFile::read((string) file_get_contents(self::FORMATS.'/examples/lessons/lever_loose.json'));
        $moves = (string) file_get_contents(self::FORMATS.'/examples/lessons/lever_loose.moves.json');
        self::assertTrue(self::fits('practice-moves', $moves));
        $score = Scorer::judge(MovesFile::play($lesson, $moves));
        self::assertEquals($score, Scorer::judge(MovesFile::play($lesson, $moves)));
        self::assertLessThanOrEqual(Score::UNFINISHED, $score->total);
        self::assertEqualsWithDelta(4.5, $score->minutes, 0.01);
        self::assertGreaterThan(5.0, $score->readsHigh);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function damaged(): iterable
    {
        yield 'a format of another kind' => [
            '"vivid-pull\/lesson@1"',
            '"vivid-pull/job@1"',
            'the only format of lessons',
        ];
        yield 'a fault nobody knows' => ['"faults":[]', '"faults":["gremlins"]', 'gremlins'];
        yield 'an adjuster that is not there' => ['"at":{', '"at":{"nowhere":1,', 'no such adjuster'];
        yield 'a play too many' => ['"offset":', '"second_play_mm":3,"offset":', 'for no other'];
        yield 'no instrument' => ['"instruments":[', '"instruments":[],"x":[', 'x'];
        yield 'a key with spaces' => ['"lever_loose"', '"Lever loose"', 'small letters'];
    }

    #[DataProvider('damaged')]
    public function test_a_damaged_lesson_is_refused_with_what_is_wrong(string $what, string $by, string $says): void
    {
        $json = str_replace(
            $what,
            $by,
            json_encode(LessonFile::encode(LessonBook::find('lever_loose') ?? self::fail('gone')), JSON_THROW_ON_ERROR),
        );
        $this->expectException(BadFile::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($says, '/').'/');
        LessonFile::read($json);
    }

    public function test_a_lever_stands_off_square_only_where_its_distances_are_known(): void
    {
        $known = LessonFile::encode(LessonBook::find('lever_loose') ?? self::fail('gone'));
        $off = static fn (array $run): string => json_encode(
            ['run' => $run, 'true' => ['off_square_deg' => -20] + $known['true']] + $known,
            JSON_THROW_ON_ERROR,
        );
        self::assertEqualsWithDelta(-20.0, LessonFile::read($off($known['run']))->mechanics->offSquare, 1e-9);
        $hand = array_diff_key($known['run']['hand'], ['pivot_to_wire_mm' => true, 'pivot_to_point_mm' => true]);
        $this->expectException(BadFile::class);
        $this->expectExceptionMessageMatches('/distance from its pivot to the wire is not known/');
        LessonFile::read($off(['hand' => $hand] + $known['run']));
    }

    private static function fits(string $schema, string $json): bool
    {
        $validator = new Validator;
        $validator
            ->resolver()
            ?->registerRaw(
                (string) file_get_contents(self::FORMATS.'/job-file.schema.json'),
                'https://vivid-pull.example/schemas/job-file-1.json',
            );

        return $validator
            ->validate(
                json_decode($json),
                json_decode((string) file_get_contents(self::FORMATS."/{$schema}.schema.json")),
            )
            ->isValid();
    }
}
