<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Spoken;
use VividPull\Core\Quantity\Unit;
use VividPull\Core\Trace\Branch;
use VividPull\Core\Trace\PullTrace;

/**
 * A trace as a file or as typed: CSV with the heading `travel_mm,force_n,direction`, or a point a line, `12.5 31`, with a line `back` before those of
 * the way back. Typed points are in the reader's own units. Where nothing says which way a point is of, the way back begins behind the farthest one.
 *
 * Every line that cannot be taken is named; then there is no trace at all.
 */
final readonly class TraceFile
{
    private const MOST_PROBLEMS = 20;

    /** In mm and in N: more is no control of anything here. */
    private const FARTHEST = 1000.0;

    private const HEAVIEST = 3000.0;

    /** The travel has come back by this share of its reach before it counts as the way back. */
    private const TURNED = 0.02;

    private const UNITS = ['travel_mm' => Unit::Millimetre, 'travel_in' => Unit::Inch, 'force_n' => Unit::Newton, 'force_lbf' => Unit::PoundForce];

    /** @param  list<string>  $problems  in sentences, each with its line */
    private function __construct(public ?PullTrace $trace, public array $problems, public int $points) {}

    public static function read(string $text): self
    {
        if (! mb_check_encoding($text, 'UTF-8') || str_contains($text, "\0")) {
            return self::refused(['The file holds characters that are no text. Save it as CSV in UTF-8.']);
        }
        $lines = explode("\n", strtr(ltrim($text, "\u{FEFF}"), ["\r\n" => "\n", "\r" => "\n"]));
        $isFile = preg_match('/^\s*"?(?:travel|force|direction)/i', $lines[0]) === 1;

        return $isFile ? self::file($lines) : self::typed($lines);
    }

    /** The points as a file, in mm and N, so that reading it again gives the same trace. */
    public static function csv(PullTrace $trace): string
    {
        $lines = ['travel_mm,force_n,direction'];
        foreach (['pull' => $trace->pull, 'release' => $trace->release] as $way => $branch) {
            foreach ($branch->travel ?? [] as $place => $mm) {
                $lines[] = round($mm, 6).','.round($branch->force[$place] ?? 0.0, 6).','.$way;
            }
        }

        return implode("\n", $lines)."\n";
    }

    /**
     * A trace as `csv` wrote it and nobody touched since: taken as it is.
     *
     * @throws OutOfRange If it was touched.
     */
    public static function kept(string $csv): PullTrace
    {
        $ways = ['pull' => [[], []], 'release' => [[], []]];
        foreach (explode("\n", rtrim($csv)) as $place => $line) {
            [$travel, $force, $way] = [...explode(',', $line), '', ''];
            if ($place > 0 && isset($ways[$way])) {
                $ways[$way][0][] = (float) $travel;
                $ways[$way][1][] = (float) $force;
            }
        }

        return PullTrace::of(Branch::of(...$ways['pull']), $ways['release'][0] === [] ? null : Branch::of(...$ways['release']));
    }

    /** @param  array<int, string>  $problems  by line; those beyond the first twenty are named by their lines alone */
    private static function refused(array $problems): self
    {
        $said = array_slice($problems, 0, self::MOST_PROBLEMS, true);
        $rest = array_keys(array_diff_key($problems, $said));

        return new self(null, [...array_map(static fn (string $one, int $line): string => $line === 0 ? $one : "Line {$line}: {$one}.", $said, array_keys($said)), ...($rest === [] ? [] : ['Nor can these: '.self::ranges($rest).'.'])], 0);
    }

    /** @param  non-empty-list<int>  $lines  in order */
    private static function ranges(array $lines): string
    {
        $ranges = [];
        foreach ($lines as $line) {
            [$from, $to] = array_pop($ranges) ?? [$line, $line - 1];
            array_push($ranges, ...($line === $to + 1 ? [[$from, $line]] : [[$from, $to], [$line, $line]]));
        }

        return implode(', ', array_map(static fn (array $one): string => $one[0] === $one[1] ? "line {$one[0]}" : "lines {$one[0]} to {$one[1]}", $ranges));
    }

    /** @param  non-empty-list<string>  $lines */
    private static function file(array $lines): self
    {
        $by = substr_count($lines[0], ';') > substr_count($lines[0], ',') ? ';' : ',';
        $heads = array_map(static fn (string $head): string => strtolower(trim($head)), self::cells($lines[0], $by));
        $columns = self::columns($heads);
        if (is_string($columns)) {
            return self::refused([$columns]);
        }
        $points = $problems = [];
        foreach ($lines as $place => $line) {
            if ($place === 0 || trim($line) === '') {
                continue;
            }
            $cells = self::cells($line, $by);
            $point = count($cells) === count($heads) ? self::row($cells, $columns, $by === ';') : 'it has '.count($cells).' cells, and the heading has '.count($heads);
            if (is_string($point)) {
                $problems[$place + 1] = $point;
            } else {
                $points[] = $point;
            }
        }

        return self::made($points, $problems);
    }

    /**
     * @param  non-empty-string  $by
     * @return list<string>
     */
    private static function cells(string $line, string $by): array
    {
        return str_contains($line, '"') ? array_map(strval(...), str_getcsv($line, $by, '"', '')) : explode($by, $line);
    }

    /**
     * @param  list<string>  $heads
     * @return array{travel: array{int, float}, force: array{int, float}, direction: int|null}|string the place of each column, and what its unit is of ours; or what is wrong
     */
    private static function columns(array $heads): array|string
    {
        $found = [];
        foreach ($heads as $place => $head) {
            $unit = self::UNITS[$head] ?? null;
            $what = explode('_', $head)[0];
            if (($unit === null && $head !== 'direction') || isset($found[$what])) {
                return 'Line 1: '.Quoted::text($head).' is not a column of a trace, or stands twice. They are travel_mm (or travel_in), force_n (or force_lbf) and direction.';
            }
            $found[$what] = [$place, $unit?->factor() ?? 1.0];
        }

        return isset($found['travel'], $found['force']) ? ['travel' => $found['travel'], 'force' => $found['force'], 'direction' => $found['direction'][0] ?? null]
            : 'Line 1: the heading has to name travel_mm and force_n, and may name direction.';
    }

    /**
     * @param  list<string>  $cells
     * @param  array{travel: array{int, float}, force: array{int, float}, direction: int|null}  $columns
     * @return array{float, float, string}|string
     */
    private static function row(array $cells, array $columns, bool $hasCommas): array|string
    {
        [[$travel, $mm], [$force, $newtons]] = [$columns['travel'], $columns['force']];
        $way = $columns['direction'] === null ? '' : strtolower(trim($cells[$columns['direction']]));
        if ($columns['direction'] !== null && $way !== 'pull' && $way !== 'release') {
            return 'the direction is pull or release, not '.Quoted::text($way);
        }
        $point = self::point($cells[$travel], $cells[$force], $mm, $newtons, $hasCommas);

        return is_string($point) ? $point : [...$point, $way];
    }

    /** @param  list<string>  $lines */
    private static function typed(array $lines): self
    {
        [$mm, $newtons] = [Spoken::units()->of(Dimension::Length)->factor(), Spoken::units()->of(Dimension::Force)->factor()];
        $points = $problems = [];
        $way = in_array('back', array_map(static fn (string $line): string => strtolower(trim($line)), $lines), true) ? 'pull' : '';
        foreach ($lines as $place => $line) {
            $line = trim($line);
            if ($line === '' || strtolower($line) === 'back') {
                $way = $line === '' ? $way : 'release';

                continue;
            }
            $cells = self::typedCells($line);
            $point = count($cells) === 2 ? self::point($cells[0], $cells[1], $mm, $newtons, true) : 'type the travel and the force, such as 12.5 31';
            if (is_string($point)) {
                $problems[$place + 1] = $point;
            } else {
                $points[] = [...$point, $way];
            }
        }

        return self::made($points, $problems);
    }

    /** @return list<string> parted by a space, a tab or a semicolon, with a comma as the decimal mark; else by one comma */
    private static function typedCells(string $line): array
    {
        $cells = preg_split('/[;\s]+/', $line, -1, PREG_SPLIT_NO_EMPTY);

        return $cells === false || count($cells) === 1 ? explode(',', $line) : array_map(static fn (string $cell): string => rtrim($cell, ','), $cells);
    }

    /** @return array{float, float}|string mm and N, or what is wrong with them */
    private static function point(string $travel, string $force, float $mm, float $newtons, bool $hasCommas): array|string
    {
        $far = self::value($travel, $mm, self::FARTHEST, 'travel', $hasCommas);
        $heavy = self::value($force, $newtons, self::HEAVIEST, 'force', $hasCommas);

        return match (true) {
            is_string($far) => $far,
            is_string($heavy) => $heavy,
            default => [$far, $heavy],
        };
    }

    private static function value(string $text, float $factor, float $most, string $what, bool $hasCommas): float|string
    {
        $plain = $hasCommas ? strtr($text, [',' => '.']) : $text;
        if (! is_numeric($plain)) {
            return Quoted::text($text)." is no {$what}";
        }
        $value = (float) $plain * $factor;

        return abs($value) <= $most ? $value : "a {$what} of ".Quoted::text($text).' is beyond what any control here has';
    }

    /**
     * @param  list<array{float, float, string}>  $points
     * @param  array<int, string>  $problems  by line
     */
    private static function made(array $points, array $problems): self
    {
        if ($problems !== []) {
            return self::refused($problems);
        }
        if (count($points) > PullTrace::MOST_POINTS) {
            return self::refused(['There are '.count($points).' points, and '.PullTrace::MOST_POINTS.' can be kept. Take fewer a second.']);
        }
        $turn = self::turn($points);
        $ways = ['pull' => [[], []], 'release' => [[], []]];
        foreach ($points as $place => [$travel, $force, $way]) {
            $way = $way !== '' ? $way : ($place > $turn ? 'release' : 'pull');
            $ways[$way][0][] = $travel;
            $ways[$way][1][] = $force;
        }
        if ($ways['pull'][0] === []) {
            return self::refused(['There is no point of the pull in it.']);
        }
        try {
            $trace = PullTrace::of(Branch::of(...$ways['pull']), $ways['release'][0] === [] ? null : Branch::of(...$ways['release']));
        } catch (OutOfRange $e) {
            return self::refused([$e->getMessage()]);
        }

        return new self($trace, [], count($points));
    }

    /**
     * The place of the farthest point, where the travel comes back behind it.
     *
     * @param  list<array{float, float, string}>  $points
     */
    private static function turn(array $points): int
    {
        $travels = array_column($points, 0);
        if ($travels === []) {
            return 0;
        }
        $most = max($travels);
        $farthest = (int) array_search($most, $travels, true);
        $behind = array_slice($travels, $farthest);
        $back = $behind === [] ? $most : min($behind);

        return $most - $back > self::TURNED * ($most - min($travels)) ? $farthest : count($points);
    }
}
