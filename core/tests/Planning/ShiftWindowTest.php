<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Learning\TaughtPlay;
use VividPull\Core\Planning\ShiftWindow;
use VividPull\Core\Spec\SpecBand;

final class ShiftWindowTest extends TestCase
{
    /** @return iterable<string, array{float, float, bool}> */
    public static function moves(): iterable
    {
        // 10 mm of play, wanted 3 to 5, told 4 mm of play a mm of slack, and 3.55 at the least (2 × 6 %): the far edge
        // is 7 mm or 1.97 mm of slack away, twice that 3.95.
        yield 'to the middle' => [4.0, -1.5, true];
        yield 'as far as a machine that moves half as far needs' => [4.0, -3.9, true];
        yield 'twice past the far edge' => [4.0, -4.0, false];
        yield 'as far the other way' => [4.0, 4.0, false];
        yield 'told less, further' => [2.0, -7.8, true];
    }

    #[DataProvider('moves')]
    public function test_no_move_goes_further_than_twice_what_the_machine_was_told_to_need(
        float $told,
        float $shift,
        bool $allowed,
    ): void {
        $play = TaughtPlay::startingFrom(RatioPrior::of(log($told), 0.06), 0.0)->given(10.0, 0.1);
        self::assertInstanceOf(TaughtPlay::class, $play);
        $window = new ShiftWindow($play, SpecBand::between(3.0, 5.0), [3.2, 4.8], 0.1, 4.0, false);
        self::assertSame($allowed, $window->allows($shift));
    }

    public function test_a_band_without_an_upper_edge_sets_no_bound(): void
    {
        $play = TaughtPlay::startingFrom(RatioPrior::of(log(4.0), 0.06), 0.0)->given(1.0, 0.1);
        self::assertInstanceOf(TaughtPlay::class, $play);
        self::assertTrue((new ShiftWindow($play, SpecBand::between(3.0, null), null, 0.1, null, false))->allows(20.0));
    }
}
