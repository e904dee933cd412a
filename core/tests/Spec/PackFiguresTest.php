<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Spec;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Spec\PackFigures;

final class PackFiguresTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function bolts(): iterable
    {
        for ($n = 1; $n <= 12; $n++) {
            yield "{$n} bolts" => [$n];
        }
    }

    /**
     * Common practice, no source: in a star, each bolt once, never one beside the last where the circle has room for
     * it: four have none.
     */
    #[DataProvider('bolts')]
    public function test_the_star_takes_each_bolt_once_and_never_the_neighbour_of_the_last(int $n): void
    {
        $order = self::pack($n)->starOrder();
        $sorted = $order;
        sort($sorted);
        self::assertSame(range(1, $n), $sorted);
        self::assertSame(1, $order[0]);
        foreach ($n < 5 ? [] : array_slice($order, 1) as $at => $bolt) {
            $apart = abs($bolt - $order[$at]);
            self::assertGreaterThan(1, min($apart, $n - $apart), "of {$n} bolts, {$bolt} follows {$order[$at]}");
        }
    }

    /** With an even number the one opposite comes at once (common practice, no source). */
    public function test_of_an_even_circle_the_opposite_bolt_comes_next(): void
    {
        self::assertSame([1, 3, 2, 4], self::pack(4)->starOrder());
        self::assertSame([1, 4, 2, 5, 3, 6], self::pack(6)->starOrder());
        foreach ([4, 6, 8, 10, 12] as $n) {
            foreach (array_chunk(self::pack($n)->starOrder(), 2) as [$one, $other]) {
                self::assertSame(intdiv($n, 2), abs($one - $other), "of {$n}");
            }
        }
    }

    public function test_plates_and_springs_have_a_least_and_warp_has_a_most(): void
    {
        $pack = PackFigures::of(6, 5, 4, 2.8, 0.3, 41.5, 4, 9.0);
        self::assertSame(
            [2.8, null],
            [$pack->band(MeasureKey::FrictionPlate)?->low, $pack->band(MeasureKey::FrictionPlate)?->high],
        );
        self::assertSame(
            [null, 0.3],
            [$pack->band(MeasureKey::SteelPlate)?->low, $pack->band(MeasureKey::SteelPlate)?->high],
        );
        self::assertSame(
            [41.5, null],
            [$pack->band(MeasureKey::ClutchSpring)?->low, $pack->band(MeasureKey::ClutchSpring)?->high],
        );
        self::assertNull($pack->band(MeasureKey::LeverPull), 'a pull is no figure of the pack');
        self::assertNull(
            self::pack(4)->band(MeasureKey::FrictionPlate),
            'what the book does not say is not held against anything',
        );
    }

    private static function pack(int $bolts): PackFigures
    {
        return PackFigures::of(6, 5, 4, null, null, null, $bolts, null);
    }
}
