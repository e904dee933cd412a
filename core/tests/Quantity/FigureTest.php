<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Quantity\Figure;

final class FigureTest extends TestCase
{
    /** @return iterable<string, array{Figure, string}> */
    public static function figures(): iterable
    {
        yield 'a length to a tenth' => [Figure::length(4.25), '4.3 mm'];
        yield 'a length keeps its zero' => [Figure::length(4.0), '4.0 mm'];
        yield 'a whole length' => [Figure::length(457.2, 0), '457 mm'];
        yield 'as it was written' => [Figure::shortLength(4.0), '4 mm'];
        yield 'with as many decimals as it needs' => [Figure::shortLength(4.25), '4.25 mm'];
        yield 'tens keep their nought' => [Figure::shortLength(120.0), '120 mm'];
        yield 'less than nothing' => [Figure::length(-0.5), '-0.5 mm'];
        yield 'a force' => [Figure::force(1250.4), '1250 N'];
        yield 'a speed' => [Figure::speed(27.36), '27.4 km/h'];
        yield 'a time' => [Figure::seconds(3.0), '3 s'];
        yield 'a meter' => [Figure::usage(12750.4, 'km'), '12 750 km'];
        yield 'hours' => [Figure::hours(1.25), '1.3 h'];
        yield 'to the decimals of what it is' => [Figure::measured(2.2, 2, 's'), '2.20 s'];
        yield 'a number' => [Figure::number(1.5), '1.5'];
        yield 'a whole number' => [Figure::number(2.0), '2'];
        yield 'a ratio' => [Figure::ratio(2.0), '2.0'];
    }

    #[DataProvider('figures')]
    public function test_it_is_said_once_with_its_unit(Figure $figure, string $said): void
    {
        self::assertSame($said, (string) $figure);
    }

    public function test_it_is_bare_where_a_sentence_names_its_unit_once(): void
    {
        self::assertSame('4.3', Figure::length(4.25)->bare());
        self::assertSame('12 750', Figure::usage(12750, 'km')->bare());
    }
}
