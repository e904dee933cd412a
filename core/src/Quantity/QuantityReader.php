<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/**
 * Reads a quantity as people write it: `4`, `4.2mm`, `4,2`, `3/32`, `1 1/16 in`, `1-1/16"`, `⅛`, `half inch`, `62
 * thou`, `nickel`, `2.2 ft-lb`.
 *
 * A bare number is in the default unit; a bare fraction is inches, and the answer says so; a comma is a decimal mark.
 * A bare fraction that stands on no rule in inches (`10/11`, `16/15`) is more likely two readings, and one of
 * millimetres in fine parts (`3/32 mm`) a slip: both are asked about.
 * `3 to 4` is kept as its middle, and `9.6 ± 0.3` as 9.6. Only what was written coarser than it was read widens it: a
 * range by its width, an unreduced fraction (`4/8`) by its parts, and `about` by the step it was written in.
 */
final readonly class QuantityReader
{
    private const LONGEST = 60;

    private const NUMBER = '(?:\d[\d.,\/]*(?: \d+\s*\/\s*\d+|\s*\/\s*\d+)?|[.,]\d+)';

    private const ONE = '/^(?<number>'.self::NUMBER.')\s*(?<unit>.*)$/su';

    /** A dash joins two sizes only where a mixed number is not meant: `3-4 mm`, but `1-1/16`. */
    private const RANGE = '/^(?<from>'.self::NUMBER.')\s*(?<unit_from>[^\d\s\-]*)\s*(?:to|till|-|…|\.\.\.?)\s*(?<to>'
        .self::NUMBER.')\s*(?<unit>.*)$/su';

    /** `9.6 ± 0.3 mm`: a size and how far it may be off either way. */
    private const EITHER_WAY = '/^(?<number>'.self::NUMBER.')\s*(?:±|\+\s*\/?\s*-)\s*(?<off>'.self::NUMBER
        .')\s*(?<unit>.*)$/su';

    /** Parts of an inch that rules and books have. */
    private const PARTS_OF_AN_INCH = [2, 4, 8, 16, 32, 64, 128];

    /** Into more parts than these nobody reads a millimetre (ours). */
    private const MOST_PARTS_OF_A_MM = 5;

    private function __construct(private Unit $default) {}

    public static function defaultingTo(Unit $unit): self
    {
        return new self($unit);
    }

    /**
     * @throws NotUnderstood If the text is not one number or range with at most one known unit, or the name of a coin.
     */
    public function read(string $text): ReadQuantity
    {
        $entered = $this->entered($text);
        $written = Writing::of($entered);
        $plain = $written->plain;
        if ($plain === '') {
            throw NotUnderstood::nothing();
        }
        $coin = Coin::tryFromText($plain);
        if ($coin !== null) {
            return ReadQuantity::coin($entered, $coin);
        }
        if (preg_match('/^[+\-]/', $plain) === 1) {
            throw NotUnderstood::line('Read '.$entered.', but a measured size has no sign. Type it without the sign.');
        }
        if (preg_match(self::EITHER_WAY, $plain, $part) === 1) {
            return $this->eitherWay($entered, $part['number'], $part['off'], trim($part['unit']));
        }
        if (preg_match(self::RANGE, $plain, $part) === 1) {
            return $this->range($entered, $part['from'], $part['to'], trim($part['unit_from']), trim($part['unit']));
        }
        if (preg_match(self::ONE, $plain, $part) !== 1) {
            throw NotUnderstood::noNumber($entered);
        }
        $number = Fraction::fromText($part['number']);
        [$unit, $assumed] = $this->unit($number, trim($part['unit']), $part['number']);

        return ReadQuantity::measured(
            $entered,
            $number,
            $unit,
            self::coarseness($number, $written->isRough) * $unit->factor(),
            $assumed,
        );
    }

    private function eitherWay(string $entered, string $said, string $off, string $unitSaid): ReadQuantity
    {
        $half = Fraction::fromText($off)->toFloat();
        if ($unitSaid === '' && str_contains($off, '/')) {
            self::mustStandOnARule($off);
        }
        [$unit, $assumed] = $this->unit(Fraction::fromText($said), $unitSaid, $said);
        if ($half <= 0.0) {
            throw NotUnderstood::line(
                "Read {$entered} as a size and how far it may be off, and that is never nothing. Type the size alone.",
            );
        }

        return ReadQuantity::middle(
            $entered,
            Fraction::fromText($said),
            $unit,
            2.0 * $half * $unit->factor(),
            ($assumed === null ? '' : "{$assumed} ")."Kept as {$said}, known to {$off} either way.",
        );
    }

    /** `3 to 4`: its middle, known to half its width either way. */
    private function range(string $entered, string $from, string $to, string $unitFrom, string $unitTo): ReadQuantity
    {
        [$low, $high] = [Fraction::fromText($from), Fraction::fromText($to)];
        [$unit, $assumed] = $this->unit($high, $unitTo === '' ? $unitFrom : $unitTo, $to);
        if ($low->writtenAsFraction && $unitFrom.$unitTo === '') {
            self::mustStandOnARule($from);
        }
        if ($unitFrom !== '' && $this->unit($low, $unitFrom, $from)[0] !== $unit) {
            throw NotUnderstood::line(
                "Read {$entered} as a range, but its two ends are in two units. Type both in one.",
            );
        }
        if ($high->toFloat() <= $low->toFloat()) {
            throw NotUnderstood::line(
                "Read {$entered} as a range, but {$to} is not above {$from}. Type the smaller one first.",
            );
        }

        return ReadQuantity::middle(
            $entered,
            $low->halfwayTo($high),
            $unit,
            ($high->toFloat() - $low->toFloat()) * $unit->factor(),
            ($assumed === null ? '' : "{$assumed} ")
                ."Kept as the middle of {$from} and {$to}, known to half of what lies between.",
        );
    }

    /**
     * How coarse a number was written beyond what its instrument shows, in the unit it was written in; 0 where it was
     * not.
     */
    private static function coarseness(Fraction $number, bool $isRough): float
    {
        return match (true) {
            $isRough && $number->writtenAsFraction => $number->writtenStep() / 2,
            $isRough => $number->writtenStep(),
            ! $number->isReduced => $number->writtenStep(),
            default => 0.0,
        };
    }

    /** @return array{Unit, ?string} the unit, and what was taken for granted of it */
    private function unit(Fraction $number, string $unit, string $said): array
    {
        if ($unit === '' && $number->writtenAsFraction) {
            self::mustStandOnARule($said);

            return [Unit::Inch, 'A fraction without a unit was taken as inches.'];
        }
        $known = $unit === '' ? $this->default : Unit::tryFromText($unit) ?? throw NotUnderstood::unit($said, $unit);
        if ($known === Unit::Millimetre && $number->parts() > self::MOST_PARTS_OF_A_MM) {
            throw NotUnderstood::line(
                "Read {$said} mm, but nobody reads a millimetre so finely. Type {$said} in, or the millimetres with a decimal mark.",
            );
        }

        return [$known, null];
    }

    /** @throws NotUnderstood If no rule in inches shows the fraction: a whole number first, then its parts. */
    private static function mustStandOnARule(string $said): void
    {
        preg_match('/(\d+)\s*\/\s*(\d+)$/', $said, $part);
        [$top, $below] = [(int) ($part[1] ?? 0), (int) ($part[2] ?? 1)];
        if (! in_array($below, self::PARTS_OF_AN_INCH, true) || $top >= $below) {
            throw NotUnderstood::line(
                "Read {$said}, but a rule in inches shows no such fraction. Type two readings one after the other; if it is inches, write in behind it.",
            );
        }
    }

    private function entered(string $text): string
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw NotUnderstood::line('The line holds characters that are no text. Type it again.');
        }
        $length = mb_strlen($text);
        if ($length > self::LONGEST) {
            throw NotUnderstood::tooLong($length, self::LONGEST);
        }
        $plain = trim((string) preg_replace('/\s+/u', ' ', strtr($text, ["\u{FEFF}" => '', '·' => '·'])));
        if ($plain === '') {
            throw NotUnderstood::nothing();
        }

        return $plain;
    }
}
