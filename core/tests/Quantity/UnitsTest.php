<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Quantity\DecimalMark;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\ForceStyle;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\SpeedStyle;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Quantity\Units;

/**
 * Forces, torques, speeds and decimals as a person reads them. 1 lbf = 4.4482216152605 N and 1 mi = 1.609344 km exactly
 * (international yard and pound agreement, 1959; standard acceleration of free fall).
 */
final class UnitsTest extends TestCase
{
    public function test_each_is_said_in_the_readers_units(): void
    {
        $said = static fn (): array => [
            (string) Figure::force(20.0),
            (string) Figure::torque(7.0),
            (string) Figure::torque(10.5),
            (string) Figure::speed(20.0),
            (string) Figure::measured(2.5, 2, 's'),
            (string) Figure::measured(3.0, 2, 'mm'),
            (string) Figure::measured(40.0, 0, 'N'),
        ];

        self::assertSame(['20 N', '7 N·m', '10.5 N·m', '20.0 km/h', '2.50 s', '3.00 mm', '40 N'], $said());
        self::assertSame(
            ['4.5 lbf', '5.2 lbf·ft', '7.7 lbf·ft', '12.4 mph', '2.50 s', '3.00 mm', '9.0 lbf'],
            Spoken::in(new Units(forces: ForceStyle::PoundFeet, speeds: SpeedStyle::Miles), $said),
        );
        self::assertSame(
            ['4,5 lbf', '62 lbf·in', '92,9 lbf·in', '20,0 km/h', '2,50 s', '0,1181 in', '9,0 lbf'],
            Spoken::in(
                new Units(LengthStyle::DecimalInches, ForceStyle::PoundInches, decimals: DecimalMark::Comma),
                $said,
            ),
        );
    }

    public function test_what_a_meter_shows_stays_in_the_meters_unit(): void
    {
        self::assertSame(
            '7 750 km',
            Spoken::in(
                new Units(speeds: SpeedStyle::Miles),
                static fn (): string => (string) Figure::usage(7750.0, 'km'),
            ),
        );
    }

    /** @return iterable<string, array{Dimension, Units}> */
    public static function dimensions(): iterable
    {
        foreach ([Dimension::Length, Dimension::Force, Dimension::Torque, Dimension::Speed] as $dimension) {
            foreach (LengthStyle::cases() as $lengths) {
                foreach (ForceStyle::cases() as $forces) {
                    foreach (DecimalMark::cases() as $mark) {
                        if (
                            ($dimension === Dimension::Length) === ($forces === ForceStyle::Newtons)
                            || $lengths === LengthStyle::Millimetres
                        ) {
                            yield "{$dimension->value} {$lengths->value} {$forces->value} {$mark->value}" => [
                                $dimension,
                                new Units(
                                    $lengths,
                                    $forces,
                                    $forces === ForceStyle::Newtons ? SpeedStyle::Kilometres : SpeedStyle::Miles,
                                    $mark,
                                ),
                            ];
                        }
                    }
                }
            }
        }
    }

    #[DataProvider('dimensions')]
    public function test_text_to_quantity_to_text_is_the_same(Dimension $dimension, Units $units): void
    {
        mt_srand(20261128);
        for ($n = 0; $n < 200; $n++) {
            $value = mt_rand(1, 90_000) / 1000;
            $said = $units->bare($value, $dimension, 1, false);
            $read = QuantityReader::defaultingTo($units->of($dimension))->read($said);

            self::assertSame($dimension, $read->dimension);
            self::assertSame($said, $units->bare($read->value, $dimension, 1, false), "from {$value}");
        }
    }
}
