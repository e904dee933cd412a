<?php

declare(strict_types=1);

namespace App\Exchange;

use Generator;
use VividPull\Core\Errors\Refused;

/** The rows of a file, CSV or JSON, one at a time: a large file needs no more memory than a small one. */
final readonly class Rows
{
    private const WHOLE = 16_777_216;

    private const LONGEST_LINE = 1_048_576;

    private const DEEPEST = 40;

    /**
     * @param  resource  $in
     * @return Generator<string, mixed> the row, or null where the line is none, by its place
     *
     * @throws Refused If the file is of another kind.
     */
    public static function of($in, LineImport $kind): Generator
    {
        rewind($in);
        $first = ltrim((string) fgets($in, self::LONGEST_LINE), "\xEF\xBB\xBF \t\r\n");
        if ($first !== '' && ($first[0] === '{' || $first[0] === '[')) {
            yield from rtrim($first) === self::opening($kind) ? self::lineByLine($in) : self::atOnce($in, $kind);

            return;
        }
        foreach (Csv::rows($in, $kind->columns()) as $line => $row) {
            yield "line {$line}" => $row;
        }
    }

    /** How a JSON export begins; each row then has a line of its own. */
    public static function opening(LineImport $kind): string
    {
        return '{"format":"'.$kind->format().'","'.$kind->key().'":[';
    }

    /**
     * @param  resource  $in
     * @return Generator<string, mixed>
     */
    private static function lineByLine($in): Generator
    {
        $n = 1;
        while (($line = fgets($in, self::LONGEST_LINE)) !== false) {
            $n++;
            $text = rtrim(trim($line), ',');
            if ($text === ']}' || $text === '') {
                continue;
            }
            yield "line {$n}" => json_decode($text, true, self::DEEPEST);
        }
    }

    /**
     * @param  resource  $in
     * @return Generator<string, mixed>
     */
    private static function atOnce($in, LineImport $kind): Generator
    {
        rewind($in);
        $text = (string) stream_get_contents($in, self::WHOLE + 1);
        if (strlen($text) > self::WHOLE) {
            throw Refused::because(
                'This file is too large to be read at once. Write each row on a line of its own, as an export does.',
            );
        }
        $whole = json_decode(ltrim($text, "\xEF\xBB\xBF"), true, self::DEEPEST);
        if (
            ! is_array($whole)
            || ($whole['format'] ?? null) !== $kind->format()
            || ! is_array($whole[$kind->key()] ?? null)
            || ! array_is_list($whole[$kind->key()])
            || count($whole) !== 2
        ) {
            throw Refused::because('This JSON is not in the format '.$kind->format().'.');
        }
        foreach ($whole[$kind->key()] as $n => $row) {
            yield "\$.{$kind->key()}[{$n}]" => $row;
        }
    }
}
