<?php

declare(strict_types=1);

namespace VividPull\Core\Tests\Gauge;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use VividPull\Core\Gauge\GaugeLine;
use VividPull\Core\Gauge\GaugeSettings;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\Unit;

/** The lines of gauges, in the file that the screens' own reader is held to as well. */
final class GaugeLineTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function lines(): iterable
    {
        foreach (json_decode(
            (string) file_get_contents(__DIR__.'/lines.json'),
            true,
            8,
            JSON_THROW_ON_ERROR,
        ) as $place => $one) {
            yield $place.' '.json_encode($one['line']) => [$one];
        }
    }

    /** @param  array<string, mixed>  $one */
    #[DataProvider('lines')]
    public function test_a_line_is_read_or_refused_as_the_file_has_it(array $one): void
    {
        $settings = new GaugeSettings(
            $one['unit'] === null ? null : Unit::from($one['unit']),
            $one['before'],
            $one['while_moving'] ?? false,
        );
        if (isset($one['refused'])) {
            $this->expectException(NotUnderstood::class);
            $this->expectExceptionMessage($one['refused']);
        }
        $read = GaugeLine::read($one['line'], $settings);
        self::assertSame($one['entered'], $read->entered);
        self::assertEqualsWithDelta($one['value'], $read->value, 1e-9);
        self::assertSame($one['dimension'], $read->dimension()->value);
        self::assertSame($one['low_battery'], $read->lowBattery);
    }

    /** What a gauge sent is typed into a job as it stands, and the bench reads the same value from it. */
    public function test_what_was_read_can_be_typed_and_is_the_same(): void
    {
        mt_srand(41);
        for ($n = 0; $n < 2000; $n++) {
            $decimals = mt_rand(0, 5);
            $value = mt_rand(0, 10 ** (3 + $decimals) - 1) / 10 ** $decimals;
            $unit = ['mm', 'in', 'N', 'lbf'][mt_rand(0, 3)];
            $figure = number_format($value, $decimals, '.', '');
            $line = [
                '+'.str_pad($figure, 9, '0', STR_PAD_LEFT).$unit,
                "{$unit} {$figure}",
                "ST,{$figure},{$unit}",
                strtr($figure, '.', ',').$unit,
                sprintf('%+.8E %s', $value, $unit),
            ][mt_rand(0, 4)];
            $read = GaugeLine::read($line);
            $typed = QuantityReader::defaultingTo(Unit::Millimetre)->read($read->entered);
            self::assertEqualsWithDelta(
                $value * $read->unit->factor(),
                $read->value,
                1e-9 * max(1.0, $read->value),
                $line,
            );
            self::assertEqualsWithDelta($typed->value, $read->value, 1e-9 * max(1.0, $read->value), $line);
            self::assertSame($typed->dimension, $read->dimension());
        }
    }

    /**
     * A byte that was lost or spoilt on the wire gives another figure only where the line still is one; nothing else
     * than a refusal is ever thrown.
     */
    public function test_spoilt_lines_are_refused_or_still_one_figure(): void
    {
        mt_srand(42);
        $refused = 0;
        for ($n = 0; $n < 3000; $n++) {
            $line = '+004.20 mm';
            for ($hits = mt_rand(1, 4); $hits > 0; $hits--) {
                $at = mt_rand(0, strlen($line));
                $line = substr($line, 0, $at).(mt_rand(0, 1) === 1 ? chr(mt_rand(0, 255)) : '')
                    .substr($line, $at + mt_rand(0, 2));
            }
            try {
                $read = GaugeLine::read($line);
                self::assertMatchesRegularExpression(
                    '/^-?\d{1,6}(?:\.\d{1,6})? (?:mm|in|N|cm)$/D',
                    $read->entered,
                    bin2hex($line),
                );
            } catch (NotUnderstood $no) {
                $refused++;
                self::assertStringEndsWith('.', $no->getMessage());
            }
        }
        self::assertGreaterThan(1500, $refused);
    }
}
