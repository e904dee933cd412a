<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\Steps;

final class StepsTest extends TestCase
{
    public function test_a_hex_has_six_flats_to_the_turn(): void
    {
        self::assertSame(Steps::of(1)->count, Steps::fromFlats(6)->count);
        self::assertEqualsWithDelta(1 / 6, Steps::fromFlats(1)->toFloat(), 1e-15);
    }

    public function test_flats_out_and_in_again_come_to_nothing(): void
    {
        for ($flats = 1; $flats <= 40; $flats++) {
            self::assertTrue(Steps::fromFlats($flats)->plus(Steps::fromFlats(-$flats))->isNone());
        }
    }

    /** @return iterable<string, array{Steps, string}> */
    public static function spoken(): iterable
    {
        yield 'one flat' => [Steps::fromFlats(1), '1 flat'];
        yield 'several flats' => [Steps::fromFlats(5), '5 flats'];
        yield 'one turn' => [Steps::of(1), '1 turn'];
        yield 'turns and flats' => [Steps::of(2, 2), '2 turns and 2 flats'];
        yield 'direction is not part of it' => [Steps::fromFlats(-8), '1 turn and 2 flats'];
        yield 'half a flat is said in turns' => [Steps::fromCount(60), '0.083 turn'];
        yield 'one and a quarter' => [Steps::exactly(1.25), '1.25 turns'];
        yield 'nothing' => [Steps::none(), 'nothing'];
    }

    #[DataProvider('spoken')]
    public function test_it_is_said_as_at_the_bench(Steps $turns, string $words): void
    {
        self::assertSame($words, $turns->say());
    }

    public function test_eighths_and_sixths_are_counted_exactly(): void
    {
        self::assertSame(90, Steps::exactly(0.125)->count);
        self::assertSame(120, Steps::exactly(1 / 6)->count);
    }

    public function test_what_cannot_be_counted_is_refused(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('0.1234');
        Steps::exactly(0.1234);
    }
}
