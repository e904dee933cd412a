<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/**
 * Brings the many ways in which people write one size to a single one: typographic marks, vulgar fractions, and sizes
 * in words (`half inch`, `a sixteenth`, `1 and 1/16`) become digits. It reads no value itself.
 */
final readonly class Writing
{
    private const MARKS = [
        "\u{FEFF}" => '', "\u{200B}" => '', '″' => '"', '”' => '"', '“' => '"', '‟' => '"', '−' => '-', '–' => '-',
        '—' => '-', '⁄' => '/', '∕' => '/',
        "''" => '"', '’’' => '"', '′′' => '"', '½' => ' 1/2', '⅓' => ' 1/3', '⅔' => ' 2/3', '¼' => ' 1/4',
        '¾' => ' 3/4', '⅕' => ' 1/5', '⅖' => ' 2/5',
        '⅗' => ' 3/5', '⅘' => ' 4/5', '⅙' => ' 1/6', '⅚' => ' 5/6', '⅐' => ' 1/7', '⅛' => ' 1/8', '⅜' => ' 3/8',
        '⅝' => ' 5/8', '⅞' => ' 7/8',
        '⅑' => ' 1/9', '⅒' => ' 1/10',
    ];

    private const PARTS = [
        'half' => 2, 'halves' => 2, 'third' => 3, 'thirds' => 3, 'quarter' => 4, 'quarters' => 4, 'fourth' => 4,
        'fourths' => 4, 'eighth' => 8, 'eighths' => 8,
        'sixteenth' => 16, 'sixteenths' => 16, 'thirty-second' => 32, 'thirty-seconds' => 32, 'thirtysecond' => 32,
        'thirtyseconds' => 32,
        'sixty-fourth' => 64, 'sixty-fourths' => 64, 'sixtyfourth' => 64, 'sixtyfourths' => 64,
    ];

    private const COUNTS = [
        'a' => 1, 'an' => 1, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7,
        'eight' => 8, 'nine' => 9,
        'ten' => 10, 'eleven' => 11, 'twelve' => 12, 'thirteen' => 13, 'fourteen' => 14, 'fifteen' => 15,
    ];

    private const ROUGHLY = '/^(?:about|approx\.?|approximately|around|roughly|circa|ca\.?|~|≈)\s*/iu';

    /** A whole number and its part, joined by a dash or a word. */
    private const MIXED = '/(?<![\d.,\/])(\d+)(?:\s*-\s*|\s+(?:and|&)\s+)(\d+\s*\/\s*\d+)/iu';

    private function __construct(
        /** The text in digits, with single spaces. */
        public string $plain,
        /** Whether it was said to be no more than roughly so. */
        public bool $isRough,
    ) {}

    /** @throws NotUnderstood If it could as well be a coin as a part of an inch. */
    public static function of(string $text): self
    {
        $plain = trim((string) preg_replace('/\s+/u', ' ', strtr($text, self::MARKS)));
        $rough = preg_match(self::ROUGHLY, $plain) === 1;
        $plain = (string) preg_replace(self::ROUGHLY, '', $plain);
        $plain = (string) preg_replace(self::MIXED, '$1 $2', $plain);

        return new self(self::inDigits($plain), $rough);
    }

    private static function inDigits(string $plain): string
    {
        if (preg_match('/^an? quarter$/iu', $plain) === 1) {
            throw NotUnderstood::line(
                'Read '.$plain.', which may be the coin or a quarter of an inch. Type quarter for the coin, or 1/4 in.',
            );
        }
        $counts = implode('|', array_keys(self::COUNTS));
        $parts = implode(
            '|',
            array_map(static fn (string $part): string => str_replace('-', '[- ]?', $part), array_keys(self::PARTS)),
        );
        if (preg_match(
            "/^(?:(?<whole>\d+|{$counts}) (?:and )?)??(?:(?<count>\d+|{$counts}) )?(?<part>{$parts})(?: (?:of )?(?:an? )?(?<unit>.+))?$/iu",
            $plain,
            $said,
        ) !== 1) {
            return (string) preg_replace_callback(
                "/^({$counts}) (?=[a-z])/iu",
                static fn (array $one): string => self::count($one[1]).' ',
                $plain,
            );
        }
        if (! isset($said['unit']) && ($said['count'] ?? '') === '' && mb_strtolower($said['part']) === 'quarter') {
            return $plain;
        }
        $whole = ($said['whole'] ?? '') === '' ? '' : self::count($said['whole']).' ';
        $count = ($said['count'] ?? '') === '' ? 1 : self::count($said['count']);
        $below = self::PARTS[str_replace(' ', '-', mb_strtolower($said['part']))] ?? 1;

        return $whole.$count.'/'.$below.(isset($said['unit']) ? ' '.$said['unit'] : '');
    }

    private static function count(string $word): int
    {
        return self::COUNTS[mb_strtolower($word)] ?? (int) $word;
    }
}
