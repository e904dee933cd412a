<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

use DomainException;
use VividPull\Core\Errors\CoreError;
use VividPull\Core\Errors\Quoted;

/** Text that could not be read as a quantity or a bench line. Says what was understood and what to type instead. */
final class NotUnderstood extends DomainException implements CoreError
{
    public static function nothing(): self
    {
        return new self('Nothing was typed. Type a reading, such as 25.3, and press Enter.');
    }

    public static function tooLong(int $length, int $limit): self
    {
        return new self("That is {$length} characters; a line holds at most {$limit}. Nothing was logged.");
    }

    public static function number(string $text): self
    {
        return new self(Quoted::text($text).' is not a number I can read. Type it as 4, 4.2, 4,2, 3/32 or 1 1/16.');
    }

    public static function noNumber(string $text): self
    {
        return new self(
            Quoted::text($text)
                .' has no number in it. Type a value and a unit, such as 4.2 mm or 3/32 in, or a coin: nickel, quarter, dime, cent.',
        );
    }

    public static function zeroBelow(string $text): self
    {
        return new self(
            Quoted::text($text).' has 0 below the line, which is no size. Type the fraction again, such as 3/32 in.',
        );
    }

    public static function tooManyDigits(string $text): self
    {
        return new self(
            Quoted::text($text)
                .' has more digits than any instrument here can show. Type at most 6 before the decimal mark and 6 after it.',
        );
    }

    public static function unit(string $number, string $unit): self
    {
        return new self(
            "Read {$number}, but ".Quoted::text($unit).' is not a unit I know. Use '.Unit::namesForPeople().'.',
        );
    }

    public static function line(string $sentence): self
    {
        return new self($sentence);
    }
}
