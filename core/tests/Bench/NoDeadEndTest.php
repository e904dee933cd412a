<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Bench;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Tests\Support\FamilyJob;
use VividPull\Core\Tests\Support\MadeUp;
use VividPull\Core\Tests\Support\Walk;

/** Whatever is answered, the bench offers a way on: a reading, a move, a check, a mend, a replacement or a tag. */
final class NoDeadEndTest extends TestCase
{
    private const WALKS = 8;

    private const STEPS = 60;

    private const MADE_UP = 12;

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
    public function test_nor_on_a_control_that_no_book_has(FamilyKey $key): void
    {
        for ($n = 0; $n < self::MADE_UP * self::WALKS_OF_EACH; $n++) {
            $seed = 9000 + intdiv($n, self::WALKS_OF_EACH);
            self::assertGreaterThan(0, Walk::through(MadeUp::job($key, $seed), 100 + $n, self::STEPS, "{$key->value} made up by {$seed}"));
        }
    }
}
