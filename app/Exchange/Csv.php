<?php

declare(strict_types=1);

namespace App\Exchange;

use Generator;
use VividPull\Core\Errors\Refused;

/**
 * CSV as RFC 4180 has it, out; and as spreadsheets write it, in: with a byte order mark, semicolons or tabs, decimal
 * commas, and either end of line. A cell that a spreadsheet would take for a formula goes out behind an apostrophe and
 * comes in without it.
 */
final readonly class Csv
{
    private const BOM = "\xEF\xBB\xBF";

    private const FORMULA = "/^[=+\\-@\t\r']/";

    private const PLAIN_NUMBER = '/^[+\-]?\d+(?:[.,]\d+)?$/';

    private const LONGEST_LINE = 65_536;

    /**
     * @param  resource  $out
     * @param  list<string|int|float|null>  $cells
     */
    public static function write($out, array $cells, bool $forSpreadsheet = false): void
    {
        $mark = $forSpreadsheet ? ';' : ',';
        $text = implode(
            $mark,
            array_map(
                static fn (string|int|float|null $cell): string => self::cell($cell, $mark, $forSpreadsheet),
                $cells,
            ),
        );
        fwrite($out, "{$text}\r\n");
    }

    /** @param  resource  $out */
    public static function begin($out, bool $forSpreadsheet): void
    {
        if ($forSpreadsheet) {
            fwrite($out, self::BOM);
        }
    }

    /**
     * The rows of a file by the names in its first line.
     *
     * @param  resource  $in
     * @param  list<string>  $columns  those that may stand in the first line, in any order
     * @return Generator<int, array<string, string>> by line number
     *
     * @throws Refused If the first line is not made of these columns.
     */
    public static function rows($in, array $columns): Generator
    {
        rewind($in);
        $first = fgets($in, self::LONGEST_LINE);
        $first = $first === false ? '' : $first;
        $bare = str_starts_with($first, self::BOM) ? substr($first, 3) : $first;
        $mark = self::mark($bare);
        $names = array_map(
            static fn (?string $name): string => trim(mb_strtolower((string) $name)),
            str_getcsv(rtrim($bare, "\r\n"), $mark, '"', ''),
        );
        self::mustKnow($names, $columns);
        $line = 1;
        while (($cells = fgetcsv($in, self::LONGEST_LINE, $mark, '"', '')) !== false) {
            $line++;
            if ($cells === [null]) {
                continue;
            }
            $row = [];
            foreach ($names as $n => $name) {
                $row[$name] = self::bare($cells[$n] ?? '');
            }
            yield $line => count($cells) > count($names) ? ['' => 'more'] + $row : $row;
        }
    }

    private static function cell(string|int|float|null $cell, string $mark, bool $forSpreadsheet): string
    {
        $text = match (true) {
            is_float($cell) => self::number($cell, $forSpreadsheet),
            default => (string) $cell,
        };
        if (is_string($cell) && preg_match(self::FORMULA, $text) === 1 && preg_match(self::PLAIN_NUMBER, $text) !== 1) {
            $text = "'{$text}";
        }

        return strpbrk($text, "\"\r\n{$mark}") === false && trim($text) === $text
            ? $text
            : '"'.str_replace('"', '""', $text).'"';
    }

    private static function number(float $value, bool $forSpreadsheet): string
    {
        $text = (string) json_encode($value);

        return $forSpreadsheet ? str_replace('.', ',', $text) : $text;
    }

    private static function bare(string $text): string
    {
        return preg_match("/^'[=+\\-@\t\r']/", $text) === 1 ? substr($text, 1) : $text;
    }

    /** What parts the cells: whatever the first line has most of. */
    private static function mark(string $first): string
    {
        $counts = [
            ',' => substr_count($first, ','),
            ';' => substr_count($first, ';'),
            "\t" => substr_count($first, "\t"),
        ];
        arsort($counts);

        return array_key_first($counts);
    }

    /**
     * @param  list<string>  $names
     * @param  list<string>  $columns
     */
    private static function mustKnow(array $names, array $columns): void
    {
        $unknown = array_diff($names, $columns);
        if ($names === [''] || $unknown !== []) {
            $what = mb_convert_encoding(mb_substr(implode(', ', $unknown), 0, 80), 'UTF-8', 'UTF-8');
            throw Refused::because(
                ($names === [''] ? 'This file is empty.' : "Its first line names “{$what}”, which is no column here.")
                    .' Columns are: '.implode(', ', $columns).'.',
            );
        }
        if (count(array_unique($names)) !== count($names)) {
            throw Refused::because('Its first line names a column twice.');
        }
    }
}
