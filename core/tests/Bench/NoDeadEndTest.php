<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\MadeUp;
use VividPull\Core\Tests\Support\Walk;

/** Whatever is answered, the bench offers a way on: a reading, a move, a check, a mend, a replacement or a tag. */
final class NoDeadEndTest extends TestCase
{
    private const WALKS = 5;

    private const STEPS = 60;

    private const MADE_UP = 5;

    private const WALKS_OF_EACH = 1;

    /** @return iterable<string, array{FamilyKey}> */
    public static function families(): iterable
    {
        foreach (FamilyKey::cases() as $key) {
            yield $key->value => [$key];
        }
    }

    #[DataProvider('families')]
    public function test_no_walk_through_a_job_ends_before_it_is_signed(FamilyKey $key): void
    {
        for ($walk = 0; $walk < self::WALKS; $walk++) {
            self::assertGreaterThan(0, Walk::through(FamilyJob::of($key), 500 + $walk, self::STEPS, $key->value));
        }
    }

    #[DataProvider('families')]
    public function test_nor_of_one_that_was_brought_in_with_all_that_can_feel_wrong(FamilyKey $key): void
    {
        $symptoms = array_map(static fn (Symptom $one): string => $one->value, Causes::of($key)->symptoms);
        // One of these once was sent past the end of its thread and back.
        for ($walk = 0; $walk < self::WALKS / 4; $walk++) {
            self::assertGreaterThan(
                0,
                Walk::through(
                    FamilyJob::of($key, ['symptoms' => $symptoms]),
                    702 + $walk,
                    2 * self::STEPS,
                    "{$key->value} with a complaint",
                ),
            );
        }
    }

    #[DataProvider('families')]
    public function test_nor_on_a_control_that_no_book_has(FamilyKey $key): void
    {
        for ($n = 0; $n < self::MADE_UP * self::WALKS_OF_EACH; $n++) {
            $seed = 9000 + intdiv($n, self::WALKS_OF_EACH);
            self::assertGreaterThan(
                0,
                Walk::through(MadeUp::job($key, $seed), 100 + $n, self::STEPS, "{$key->value} made up by {$seed}"),
            );
        }
    }
}
