<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\References;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Quantity\Coin;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\ThreadPitch;
use VividPull\Core\Quantity\Unit;

/** Values from outside: ISO 261/262, ASME B1.1, and the mints. */
final class PublishedUnitsTest extends TestCase
{
    /** @return iterable<string, array{string, float}> */
    public static function pitches(): iterable
    {
        // Coarse: also the table of openscad-mcad, nuts_and_bolts.scad. Fine: ISO 261 [memory].
        yield 'M5 coarse, ISO 261' => ['M5', 0.8];
        yield 'M6 coarse, ISO 261' => ['M6', 1.0];
        yield 'M8 coarse, ISO 261' => ['M8', 1.25];
        yield 'M10 coarse, ISO 261' => ['M10', 1.5];
        yield 'M6 fine, ISO 261 [memory]' => ['M6 x 0.75', 0.75];
        yield 'M8 fine, ISO 261 [memory]' => ['M8 x 1', 1.0];
        yield 'M10 fine, ISO 261 [memory]' => ['M10 x 1.25', 1.25];
        yield '1/4-20 UNC, ASME B1.1' => ['1/4-20', 1.27];
        yield '1/4-28 UNF, ASME B1.1' => ['1/4-28', 0.907142857143];
        yield '5/16-18 UNC, ASME B1.1' => ['5/16-18', 1.41111111111];
        yield '3/8-16 UNC, ASME B1.1' => ['3/8-16', 1.5875];
    }

    #[DataProvider('pitches')]
    public function test_pitches_are_those_of_the_standards(string $name, float $mm): void
    {
        self::assertEqualsWithDelta($mm, ThreadPitch::fromName($name)->mm, 1e-11);
    }

    /** @return iterable<string, array{string, float}> */
    public static function coins(): iterable
    {
        yield 'United States Mint, nickel [memory]' => ['nickel', 1.95];
        yield 'United States Mint, quarter [memory]' => ['Quarter', 1.75];
        yield 'United States Mint, dime [memory]' => ['DIME', 1.35];
        yield 'United States Mint, cent [memory]' => ['cent', 1.52];
        yield 'European Central Bank, 1 euro [memory]' => ['1 euro', 2.33];
        yield 'European Central Bank, 2 euro [memory]' => ['2 euro', 2.20];
    }

    #[DataProvider('coins')]
    public function test_coins_are_as_thick_as_their_mint_says(string $name, float $mm): void
    {
        self::assertSame($mm, Coin::tryFromText($name)?->thickness());
        self::assertSame($mm, QuantityReader::defaultingTo(Unit::Millimetre)->read($name)->value);
    }
}
