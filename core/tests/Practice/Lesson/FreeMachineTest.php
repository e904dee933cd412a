<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Practice\Lesson;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Log\Entry\Tagged;
use VividPull\Core\Log\Person;
use VividPull\Core\Log\Role;
use VividPull\Core\Practice\Lesson\AdvisedHand;
use VividPull\Core\Practice\Lesson\Attempt;
use VividPull\Core\Practice\Lesson\FreeMachine;
use VividPull\Core\Practice\Lesson\LessonBook;
use VividPull\Core\Practice\Lesson\LessonFile;
use VividPull\Core\Practice\Lesson\Scorer;
use VividPull\Core\Spec\FamilyKey;

/**
 * Machines at random: each has something wrong, and each can be put right. `bin/vivid machines` works ten thousand of
 * them.
 */
final class FreeMachineTest extends TestCase
{
    private const EACH = 5;

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_each_can_be_solved_and_none_by_doing_nothing(FamilyKey $family): void
    {
        for ($seed = 1001; $seed <= 1000 + self::EACH; $seed++) {
            $lesson = FreeMachine::of($family, $seed);
            self::assertFalse($lesson->control()->isRight(), "seed {$seed} is right as it stands");
            $idle = new Attempt(
                $lesson,
                new Person('hand', 'Hand', Role::Technician),
                'opened',
                '2026-01-01T08:00:00+00:00',
            );
            self::assertLessThan(50, Scorer::judge($idle)->total);
            $worked = AdvisedHand::works($lesson);
            self::assertTrue(
                $worked->control()->isRight() || $worked->last() instanceof Tagged,
                "seed {$seed} was signed, and is not right",
            );
            self::assertGreaterThan(50, Scorer::judge($worked)->total, "seed {$seed}");
        }
    }

    public function test_the_same_seed_is_the_same_machine_and_goes_by_its_key(): void
    {
        $lesson = FreeMachine::of(FamilyKey::TwistGrip, 77);
        self::assertEquals($lesson, LessonBook::find('free_twist_grip_77'));
        self::assertEquals(
            $lesson,
            LessonFile::read(json_encode(
                LessonFile::encode($lesson),
                JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
            )),
        );
        self::assertNotEquals($lesson->found, FreeMachine::of(FamilyKey::TwistGrip, 78)->found);
        self::assertNull(LessonBook::find('free_bicycle_1'));
    }
}
