<?php

declare(strict_types=1);

namespace App\Chain;

use stdClass;

/**
 * One text for one value, as RFC 8785 (JSON Canonicalization Scheme) has it: keys in the order of their UTF-16 code
 * units, no blanks, and numbers as ECMAScript writes them. What is hashed stays the same, whoever wrote it down anew.
 */
final readonly class CanonicalJson
{
    /** Numbers from here on are written with an exponent (ECMA-262, Number::toString). */
    private const LARGE = 1e21;

    private const SMALL = 1e-6;

    public static function of(mixed $value): string
    {
        return match (true) {
            $value instanceof stdClass => self::object(get_object_vars($value)),
            is_array($value) && array_is_list($value) => '['.implode(',', array_map(self::of(...), $value)).']',
            is_array($value) => self::object($value),
            is_float($value) => self::number($value),
            default => json_encode(
                $value,
                JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_LINE_TERMINATORS | JSON_THROW_ON_ERROR,
            ),
        };
    }

    /** @param  array<array-key, mixed>  $pairs */
    private static function object(array $pairs): string
    {
        // Among plain ASCII keys the order of the bytes is the order of the code units.
        preg_match('/[^\x00-\x7f]/', implode('', array_keys($pairs))) === 1
            ? uksort(
                $pairs,
                static fn (int|string $one, int|string $other): int => strcmp(
                    self::units((string) $one),
                    self::units((string) $other),
                ),
            )
            : ksort($pairs, SORT_STRING);
        $parts = [];
        foreach ($pairs as $key => $value) {
            $parts[] = self::of((string) $key).':'.self::of($value);
        }

        return '{'.implode(',', $parts).'}';
    }

    private static function units(string $key): string
    {
        return mb_convert_encoding($key, 'UTF-16BE', 'UTF-8');
    }

    /**
     * The fewest digits that give the number back, which is what PHP writes too, set out as ECMAScript sets them out.
     */
    private static function number(float $value): string
    {
        if ($value === 0.0) {
            return '0';
        }
        [$digits, $exponent] = self::parts(abs($value));
        $sign = $value < 0.0 ? '-' : '';
        $size = abs($value);
        $length = strlen($digits);

        return $sign.match (true) {
            $size >= self::LARGE || $size < self::SMALL => $digits[0].($length > 1 ? '.'.substr($digits, 1) : '').'e'
                .($exponent < 0 ? '-' : '+').abs($exponent),
            $exponent < 0 => '0.'.str_repeat('0', -$exponent - 1).$digits,
            $length <= $exponent + 1 => $digits.str_repeat('0', $exponent + 1 - $length),
            default => substr($digits, 0, $exponent + 1).'.'.substr($digits, $exponent + 1),
        };
    }

    /** @return array{string, int} the digits, and the power of ten of the first of them */
    private static function parts(float $size): array
    {
        preg_match('/^(\d+)(?:\.(\d+))?(?:e([+-]?\d+))?$/i', json_encode($size, JSON_THROW_ON_ERROR), $part);
        [$whole, $rest, $power] = [$part[1] ?? '0', $part[2] ?? '', (int) ($part[3] ?? 0)];
        $all = $whole.$rest;
        $lead = strlen($all) - strlen(ltrim($all, '0'));

        return [rtrim(ltrim($all, '0'), '0'), $power + strlen($whole) - 1 - $lead];
    }
}
