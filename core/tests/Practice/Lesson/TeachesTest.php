<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice\Lesson;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Practice\Lesson\FreeMachine;
use VividPull\Core\Practice\Lesson\Lesson;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\Lesson\Skill;
use VividPull\Core\Practice\Lesson\Teaches;

/** Which lessons of the book are good for a skill: as somebody would choose them who reads their titles. */
final class TeachesTest extends TestCase
{
    /**
     * @return iterable<string, array{Skill, list<string>, list<string>}> skill, lessons for it, and lessons that are
     *     not
     */
    public static function skills(): iterable
    {
        yield 'safe' => [Skill::Safe, ['lever_loose', 'bail_right'], []];
        yield 'reading' => [Skill::Reading, ['lever_right', 'grip_loose'], ['auto_right', 'drive_slow']];
        yield 'what was written' => [Skill::Word, ['lever_spline', 'grip_groove'], ['lever_loose']];
        yield 'direction' => [
            Skill::Direction,
            ['lever_tight', 'grip_tight', 'drive_creeps', 'mode_long'],
            ['lever_loose', 'grip_loose', 'hydraulic_right'],
        ];
        yield 'moves' => [Skill::Moves, ['lever_drawn', 'lever_blind'], ['lever_right', 'auto_spring']];
        yield 'order' => [Skill::Order, ['lever_home'], ['lever_loose', 'auto_right']];
        yield 'locked' => [Skill::Locked, ['lever_lock', 'grip_loose'], ['lever_right', 'mode_short']];
        yield 'proofs' => [Skill::Proofs, ['grip_loose', 'bail_spring'], ['lever_loose']];
        yield 'cause' => [
            Skill::Cause,
            ['lever_spline', 'drive_belt', 'hydraulic_air'],
            ['lever_loose', 'selector_back'],
        ];
        yield 'how it was left' => [
            Skill::End,
            ['lever_frayed', 'lever_right', 'bail_right'],
            ['lever_loose', 'grip_dry'],
        ];
    }

    /**
     * @param  list<string>  $for
     * @param  list<string>  $not
     */
    #[DataProvider('skills')]
    public function test_a_lesson_is_for_what_its_machine_asks(Skill $skill, array $for, array $not): void
    {
        foreach (['yes' => $for, 'no' => $not] as $said => $keys) {
            foreach ($keys as $key) {
                self::assertSame(
                    $said === 'yes',
                    Teaches::is(LessonBook::find($key) ?? self::fail($key), $skill),
                    $key,
                );
            }
        }
    }

    public function test_every_skill_has_several_lessons_of_its_own(): void
    {
        foreach (Skill::cases() as $skill) {
            self::assertGreaterThanOrEqual(
                3,
                count(array_filter(LessonBook::all(), static fn (Lesson $one): bool => Teaches::is($one, $skill))),
                $skill->value,
            );
        }
    }

    public function test_a_lesson_is_named_without_being_made(): void
    {
        foreach (LessonBook::all() as $lesson) {
            self::assertSame($lesson->tale->title, LessonBook::title($lesson->tale->key));
        }
        self::assertSame('A machine at random: throttle grip', LessonBook::title('free_twist_grip_12'));
        self::assertNull(LessonBook::title('free_nothing_12'));
        self::assertNull(FreeMachine::title('lever_loose'));
    }
}
