<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

use VividPull\Core\Errors\NotUnderstood;

/**
 * Reads a quantity as people write it: `4`, `4.2mm`, `4,2`, `3/32`, `1 1/16 in`, `1/16"`, `nickel`, `2.2 ft-lb`.
 *
 * A bare number is in the default unit; a bare fraction is inches, and the answer says so; a comma is a decimal mark.
 */
final readonly class QuantityReader
{
    private const LONGEST = 60;

    private const NUMBER = '/^(?<number>\d[\d.,\/]*(?:[ \-]\d+\s*\/\s*\d+|\s*\/\s*\d+)?|[.,]\d+)\s*(?<unit>.*)$/su';

    private function __construct(private Unit $default) {}

    public static function defaultingTo(Unit $unit): self
    {
        return new self($unit);
    }

    /** @throws NotUnderstood If the text is not one number with at most one known unit, or the name of a coin. */
    public function read(string $text): ReadQuantity
    {
        $plain = $this->plain($text);
        $coin = Coin::tryFromText($plain);
        if ($coin !== null) {
            return ReadQuantity::coin($plain, $coin);
        }
        if (preg_match('/^[+\-]/', $plain) === 1) {
            throw NotUnderstood::line('Read '.$plain.', but a measured size has no sign. Type it without the sign.');
        }
        if (preg_match(self::NUMBER, $plain, $part) !== 1) {
            throw NotUnderstood::noNumber($plain);
        }

        return $this->measured($plain, Fraction::fromText($part['number']), trim($part['unit']));
    }

    private function measured(string $entered, Fraction $number, string $unit): ReadQuantity
    {
        if ($unit === '' && $number->writtenAsFraction) {
            return ReadQuantity::measured($entered, $number, Unit::Inch, 'A fraction without a unit was taken as inches.');
        }
        $known = $unit === '' ? $this->default : Unit::tryFromText($unit);
        if ($known === null) {
            throw NotUnderstood::unit(trim(mb_substr($entered, 0, mb_strlen($entered) - mb_strlen($unit))), $unit);
        }

        return ReadQuantity::measured($entered, $number, $known, null);
    }

    private function plain(string $text): string
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw NotUnderstood::line('The line holds characters that are no text. Type it again.');
        }
        $length = mb_strlen($text);
        if ($length > self::LONGEST) {
            throw NotUnderstood::tooLong($length, self::LONGEST);
        }
        $marks = ['″' => '"', '”' => '"', '“' => '"', '−' => '-', '⁄' => '/', '·' => '·', '½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4'];
        $plain = trim((string) preg_replace('/\s+/u', ' ', strtr($text, $marks)));
        if ($plain === '') {
            throw NotUnderstood::nothing();
        }

        return $plain;
    }
}
