<?php

declare(strict_types=1);

namespace VividPull\Core\Gauge;

use VividPull\Core\Errors\Quoted;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\Unit;

/**
 * Reads one line that a gauge sent: a sign, a figure and a unit in whatever order, and words about its state: `+004.20
 * mm`, `N 12.3`, `4,20mm`, `ST,+1.2340E+01,N`, `0.165 in LOW BAT`.
 *
 * Exactly one figure, at most one unit, and no word that is not known: a line that lost some of its bytes is refused
 * rather than guessed at. A comma between two digits is a decimal mark. The screens read the lines of a gauge on their
 * own machine by the same rules; the file of lines beside the tests holds both to them.
 */
final readonly class GaugeLine
{
    private const LONGEST = 80;

    private const NUMBER = '/^(?<sign>[+-]?)(?<number>\d{1,9}(?:[.,]\d{0,12})?|[.,]\d{1,12})(?:E(?<power>[+-]?\d{1,2}))?(?<unit>[A-Z"\/]*)$/iD';

    /** Finer than any gauge shows; what a bench instrument writes beyond it is rounded. */
    private const MOST_DECIMALS = 6;

    private const MOST_DIGITS = 6;

    /** What gauges call their units, beyond what people type: a force gauge's kilogram is the kilogram-force. */
    private const UNITS = [
        'MM' => Unit::Millimetre, 'CM' => Unit::Centimetre, 'IN' => Unit::Inch, 'INCH' => Unit::Inch, '"' => Unit::Inch,
        'N' => Unit::Newton, 'LB' => Unit::PoundForce, 'LBF' => Unit::PoundForce, 'KG' => Unit::KilogramForce,
        'KGF' => Unit::KilogramForce,
    ];

    /** Words that change nothing: at rest, the highest since it was cleared, held. */
    private const AT_REST = ['ST', 'STABLE', 'OK', 'HOLD', 'MAX', 'PEAK'];

    private const MOVING = ['US', 'UNSTABLE', 'MOVING'];

    private const NO_FIGURE = '/^(?:OL|OVER|OVLD|OVERLOAD|UL|UNDER|ERR\d*|ERROR\d*|E\d+|NAN|-{2,}|[+-]?-+[.,]?-+)$/iD';

    /** @throws NotUnderstood If it is no reading; the sentence says what is the matter. */
    public static function read(string $line, GaugeSettings $settings = new GaugeSettings): GaugeReading
    {
        if (strlen($line) > self::LONGEST) {
            throw NotUnderstood::line(
                'The gauge sent more than '.self::LONGEST
                    .' characters without an end of line. Check the settings of its line.',
            );
        }
        if (preg_match('/[^\x20-\x7E\t]/', trim($line)) === 1) {
            throw NotUnderstood::line(
                'The gauge sent bytes that are no text: '.Quoted::text($line)
                    .'. Check the speed and parity of its line.',
            );
        }
        $lowBattery = preg_match('/\b(?:LOW ?BATT?(?:ERY)?|BATT? ?LOW|LOBATT?)\b/i', $line) === 1;
        $plain = (string) preg_replace(
            '/\b(?:LOW ?BATT?(?:ERY)?|BATT? ?LOW|LOBATT?)\b/i',
            ' ',
            self::own($line, $settings),
        );

        return self::ofWords(self::words($plain), $line, $settings, $lowBattery);
    }

    /** The line without what every line of this gauge begins with. */
    private static function own(string $line, GaugeSettings $settings): string
    {
        $plain = trim($line);
        if ($settings->before === '') {
            return $plain;
        }
        if (! str_starts_with($plain, $settings->before)) {
            throw NotUnderstood::line(
                'The line '.Quoted::text($line)." does not begin with {$settings->before}, so it is not this gauge's.",
            );
        }

        return substr($plain, strlen($settings->before));
    }

    /** @return list<string> */
    private static function words(string $plain): array
    {
        // A sign belongs to what follows; a comma between two digits is a decimal mark, any other parts two words.
        $joined = (string) preg_replace('/([+-])\s+(?=[\d.,])/', '$1', $plain);

        return array_values(array_filter(
            (array) preg_split('/[\s;:=]+|(?<!\d),|,(?!\d)/', $joined),
            static fn (mixed $word): bool => is_string($word) && $word !== '',
        ));
    }

    /** @throws NotUnderstood If what it sent stands for none, such as dashes. */
    private static function mustShowAFigure(string $word, string $line): void
    {
        if (preg_match(self::NO_FIGURE, $word) === 1) {
            throw NotUnderstood::line(
                'The gauge shows no figure: '.Quoted::text($line).'. Bring it within its range and press again.',
            );
        }
    }

    /** @param  list<string>  $words */
    private static function ofWords(array $words, string $line, GaugeSettings $settings, bool $lowBattery): GaugeReading
    {
        $figure = null;
        $unit = null;
        foreach ($words as $word) {
            $said = strtoupper($word);
            self::mustShowAFigure($word, $line);
            if (in_array($said, self::MOVING, true)) {
                if ($settings->whileMoving) {
                    continue;
                }
                throw NotUnderstood::line(
                    'The gauge had not come to rest: '.Quoted::text($line).'. Hold it still and press again.',
                );
            }
            if (isset(self::UNITS[$said])) {
                $unit = self::only($unit, self::UNITS[$said], 'two units', $line);
            } elseif (preg_match(self::NUMBER, $word, $part) === 1) {
                $figure = self::only($figure, $part, 'two figures', $line);
                $unit = $part['unit'] === ''
                    ? $unit
                    : self::only($unit, self::unit($part['unit'], $line), 'two units', $line);
            } elseif (! in_array($said, self::AT_REST, true)) {
                throw NotUnderstood::line(
                    'The gauge sent '.Quoted::text($line).', and '.Quoted::text($word)
                        .' in it is not known. Nothing was taken.',
                );
            }
        }
        if ($figure === null) {
            throw NotUnderstood::line('The gauge sent no figure: '.Quoted::text($line).'.');
        }
        $unit ??= $settings->unit
            ?? throw NotUnderstood::line(
                'The gauge sent '.Quoted::text($line).' without a unit. Say in the settings of its line what it shows.',
            );

        return self::reading($figure, $unit, $line, $lowBattery);
    }

    private static function unit(string $said, string $line): Unit
    {
        return self::UNITS[strtoupper($said)]
            ?? throw NotUnderstood::line(
                'The gauge sent '.Quoted::text($line).', and '.Quoted::text($said)
                    .' is no unit that is known here. Nothing was taken.',
            );
    }

    /**
     * @template T
     *
     * @param  ?T  $before
     * @param  T  $now
     * @return T
     */
    private static function only(mixed $before, mixed $now, string $what, string $line): mixed
    {
        return $before === null
            ? $now
            : throw NotUnderstood::line(
                "The gauge sent {$what} in one line: ".Quoted::text($line).'. Nothing was taken.',
            );
    }

    /** @param  array<array-key, string>  $part */
    private static function reading(array $part, Unit $unit, string $line, bool $lowBattery): GaugeReading
    {
        $power = $part['power'] ?? '';
        $figure = self::plain(strtr($part['number'], ',', '.'), (int) $power, $line);
        // With a power of ten, zeros only fill its length.
        $figure = $power !== '' && str_contains($figure, '.') ? rtrim(rtrim($figure, '0'), '.') : $figure;
        $isBelow = $part['sign'] === '-' && preg_match('/[1-9]/', $figure) === 1;
        $value = (float) $figure * $unit->factor();

        return new GaugeReading(
            ($isBelow ? '-' : '')."{$figure} {$unit->value}",
            $isBelow ? -$value : $value,
            $unit,
            $lowBattery,
        );
    }

    /**
     * A figure without its power of ten, without zeros before it, with the decimals it was sent with: `004.20` is
     * `4.20`.
     */
    private static function plain(string $number, int $power, string $line): string
    {
        [$whole, $decimals] = [...explode('.', $number), ''];
        for (; $power > 0; $power--) {
            $whole .= $decimals === '' ? '0' : $decimals[0];
            $decimals = substr($decimals, 1);
        }
        for (; $power < 0; $power++) {
            $decimals = ($whole === '' ? '0' : substr($whole, -1)).$decimals;
            $whole = substr($whole, 0, -1);
        }
        $whole = ltrim($whole, '0');
        $whole = $whole === '' ? '0' : $whole;
        if (strlen($whole) > self::MOST_DIGITS) {
            throw NotUnderstood::line(
                'The gauge sent '.Quoted::text($line)
                    .', which is more than any gauge here can show. Nothing was taken.',
            );
        }
        if (strlen($decimals) > self::MOST_DECIMALS) {
            [$whole, $decimals] = explode(
                '.',
                number_format((float) "{$whole}.{$decimals}", self::MOST_DECIMALS, '.', ''),
            );
            $decimals = rtrim($decimals, '0');
        }

        return $decimals === '' ? $whole : "{$whole}.{$decimals}";
    }
}
