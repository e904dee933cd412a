<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\LengthStyle;
use VividPull\Core\Quantity\NotUnderstood;
use VividPull\Core\Quantity\QuantityReader;
use VividPull\Core\Quantity\ReadQuantity;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Quantity\Unit;

/**
 * A band of play as a book prints it: `10–20 mm`, `10 to 20 mm (3/8–1 in)`, `at least 2 mm`, `up to 1/16 in`.
 *
 * Printed in two units, both must mean the same within printed rounding: half the last decimal, or half the finest fraction that the
 * figure shows.
 */
final readonly class PrintedBand
{
    private const TWO_UNITS = '/^(?<first>[^()]+?)\s*\((?<other>[^()]+)\)$/u';

    private const RANGE = '/^(?<low>.+?)\s*(?:–|—|…|\bto\b|(?<=[\d"])-(?=\s*[\d.]))\s*(?<high>.+)$/u';

    private const ONE_SIDED = '/^(?<side>at least|min(?:imum)?\.?|from|at most|max(?:imum)?\.?|up to|not more than)\s+(?<value>.+)$/iu';

    private const MIXED_NUMBER = '/^\d+-\d+\s*\/\s*\d+(?!\s*\d)/';

    /** @param  list<string>  $disagreements */
    private function __construct(
        public SpecBand $band,
        /** @var list<string> a sentence for each edge that says two different things */
        public array $disagreements,
    ) {}

    /**
     * The first figure is the band; the other only checks it.
     *
     * @throws CoreError If it is no band of lengths.
     */
    public static function read(string $text): self
    {
        $text = trim($text);
        if (preg_match(self::TWO_UNITS, $text, $part) !== 1) {
            [$low, $high] = self::edges($text);

            return new self(SpecBand::between($low?->value, $high?->value), []);
        }
        [$low, $high] = self::edges($part['first']);
        [$otherLow, $otherHigh] = self::edges($part['other']);

        return new self(SpecBand::between($low?->value, $high?->value), [
            ...self::disagreement($low, $otherLow, [$low, $high], [$otherLow, $otherHigh]),
            ...self::disagreement($high, $otherHigh, [$low, $high], [$otherLow, $otherHigh]),
        ]);
    }

    /** @return array{ReadQuantity|null, ReadQuantity|null} */
    private static function edges(string $text): array
    {
        $text = trim($text);
        if (preg_match(self::ONE_SIDED, $text, $part) === 1) {
            $value = self::length($part['value'], null);

            return preg_match('/^(at least|min|from)/i', $part['side']) === 1 ? [$value, null] : [null, $value];
        }
        if (preg_match(self::MIXED_NUMBER, $text) === 1 || preg_match(self::RANGE, $text, $part) !== 1) {
            throw NotUnderstood::line(Quoted::text($text).' is no band. Write it as it is printed: 10–20 mm, 3/8 to 1 in, at least 2 mm.');
        }
        $high = self::length($part['high'], null);

        return [self::length($part['low'], $high->unit), $high];
    }

    /** A figure without a unit of its own has that of the figure after it. */
    private static function length(string $text, ?Unit $unit): ReadQuantity
    {
        $text = trim($text);
        $bare = preg_match('/^[\d\s.,\/\-⁄½¼¾]+$/u', $text) === 1;
        $read = QuantityReader::defaultingTo(Unit::Millimetre)->read($bare && $unit !== null ? "{$text} {$unit->value}" : $text);
        if ($read->dimension !== Dimension::Length) {
            throw NotUnderstood::line(Quoted::text($text).' is no length, and play is a length.');
        }
        if ($read->isRange) {
            throw NotUnderstood::line(Quoted::text($text).' is a range, where one edge of the band belongs. Write the band as it is printed: 10–20 mm.');
        }

        return $read;
    }

    /**
     * @param  list<ReadQuantity|null>  $first
     * @param  list<ReadQuantity|null>  $other
     * @return list<string>
     */
    private static function disagreement(?ReadQuantity $one, ?ReadQuantity $two, array $first, array $other): array
    {
        if ($one === null && $two === null) {
            return [];
        }
        if ($one === null || $two === null) {
            return ['One of the two figures has an edge that the other lacks.'];
        }
        $apart = abs($one->value - $two->value);
        if ($apart <= self::rounding($first) + self::rounding($other) + 1e-9) {
            return [];
        }

        return [Quoted::text($one->entered).' beside '.Quoted::text($two->entered).': '.self::inOther($one, $two).'.'];
    }

    /**
     * Half of the smallest difference that the figure shows.
     *
     * @param  list<ReadQuantity|null>  $figure
     */
    private static function rounding(array $figure): float
    {
        return min(INF, ...array_map(static fn (?ReadQuantity $edge): float => $edge->writtenStep ?? INF, $figure)) / 2;
    }

    private static function inOther(ReadQuantity $one, ReadQuantity $two): string
    {
        $of = "{$one->entered} is about ";

        // Beside what is printed in one unit stands the other, whatever its reader reads.
        return $of.($two->unit === Unit::Inch ? LengthStyle::fraction($one->value / Unit::Inch->factor(), 64).' in' : Spoken::kept(static fn (): string => (string) Figure::shortLength($one->value, 1)));
    }
}
