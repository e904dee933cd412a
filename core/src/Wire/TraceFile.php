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
 * A trace as a file or as typed: CSV with the heading `travel_mm,force_n,direction`, or `time_s` in place of the
 * travel, or a point a line, `12.5 31`, with a line `back` before those of the way back. Typed points are in the
 * reader's own units. Where nothing says which way a point is of, the way back begins behind the farthest one, or
 * behind the heaviest where only the time is known.
 *
 * Every line that cannot be taken is named; then there is no trace at all.
 */
final readonly class TraceFile
{
    private const POINT_WITH_UNITS = '/^(?<travel>[+-]?[\d.,]+)\s*(?<in>[a-z"]+)[;\s]+(?<force>[+-]?[\d.,]+)\s*(?<by>[a-z]+)$/iD';

    private const MOST_PROBLEMS = 20;

    /** In mm and in N: more is no control of anything here. */
    private const FARTHEST = 1000.0;

    private const HEAVIEST = 3000.0;

    /** The travel has come back by this share of its reach before it counts as the way back. */
    private const TURNED = 0.02;

    /** Times become travel as of a pull over so much, until somebody says how far it was. */
    private const ANY_REACH = 100.0;

    private const TIME = 'time_s';

    private const UNITS = [
        'travel_mm' => Unit::Millimetre,
        'travel_in' => Unit::Inch,
        'force_n' => Unit::Newton,
        'force_lbf' => Unit::PoundForce,
        'force_kgf' => Unit::KilogramForce,
    ];

    /** @param  list<string>  $problems  in sentences, each with its line */
    private function __construct(
        public ?PullTrace $trace,
        public array $problems,
        public int $points,
        /**
         * The points as they are kept: `travel_mm` or `time_s`, `force_n`, `direction`; empty where there is no trace.
         */
        public string $kept = '',
    ) {}

    public static function read(string $text): self
    {
        if (! mb_check_encoding($text, 'UTF-8') || str_contains($text, "\0")) {
            return self::refused(['The file holds characters that are no text. Save it as CSV in UTF-8.']);
        }
        $lines = explode("\n", strtr(ltrim($text, "\u{FEFF}"), ["\r\n" => "\n", "\r" => "\n"]));
        $isFile = preg_match('/^\s*"?(?:travel|time|force|direction)/i', $lines[0]) === 1;

        return $isFile ? self::file($lines) : self::typed($lines);
    }

    /** The points as a file, in mm and N, so that reading it again gives the same trace. */
    public static function csv(PullTrace $trace): string
    {
        return self::written('travel_mm', $trace->pull, $trace->release);
    }

    /**
     * A trace as it is kept, which nobody touched since: taken as it is.
     *
     * @param  float|null  $reachMm  how far it was pulled, where its points have times and no travel
     *
     * @throws OutOfRange If it has times, and nobody said how far.
     */
    public static function kept(string $csv, ?float $reachMm = null): PullTrace
    {
        $ways = ['pull' => [[], []], 'release' => [[], []]];
        foreach (explode("\n", rtrim($csv)) as $place => $line) {
            [$travel, $force, $way] = [...explode(',', $line), '', ''];
            if ($place > 0 && isset($ways[$way])) {
                $ways[$way][0][] = (float) $travel;
                $ways[$way][1][] = (float) $force;
            }
        }
        $pull = Branch::of(...$ways['pull']);
        $release = $ways['release'][0] === [] ? null : Branch::of(...$ways['release']);
        if (! str_starts_with($csv, self::TIME)) {
            return PullTrace::of($pull, $release);
        }

        return PullTrace::steady(
            $pull,
            $release,
            $reachMm ?? throw OutOfRange::trace('Its points have times and no travel. Say how far it was pulled.'),
        );
    }

    private static function written(string $first, Branch $pull, ?Branch $release): string
    {
        $lines = ["{$first},force_n,direction"];
        foreach (['pull' => $pull, 'release' => $release] as $way => $branch) {
            foreach ($branch->travel ?? [] as $place => $at) {
                $lines[] = round($at, 6).','.round($branch->force[$place] ?? 0.0, 6).','.$way;
            }
        }

        return implode("\n", $lines)."\n";
    }

    /** @param  array<int, string>  $problems  by line; those beyond the first twenty are named by their lines alone */
    private static function refused(array $problems): self
    {
        $said = array_slice($problems, 0, self::MOST_PROBLEMS, true);
        $rest = array_keys(array_diff_key($problems, $said));

        return new self(
            null,
            [
                ...array_map(
                    static fn (string $one, int $line): string => $line === 0 ? $one : "Line {$line}: {$one}.",
                    $said,
                    array_keys($said),
                ),
                ...($rest === [] ? [] : ['Nor can these: '.self::ranges($rest).'.']),
            ],
            0,
        );
    }

    /** @param  non-empty-list<int>  $lines  in order */
    private static function ranges(array $lines): string
    {
        $ranges = [];
        foreach ($lines as $line) {
            [$from, $to] = array_pop($ranges) ?? [$line, $line - 1];
            array_push($ranges, ...($line === $to + 1 ? [[$from, $line]] : [[$from, $to], [$line, $line]]));
        }

        return implode(
            ', ',
            array_map(
                static fn (array $one): string => $one[0] === $one[1]
                    ? "line {$one[0]}"
                    : "lines {$one[0]} to {$one[1]}",
                $ranges,
            ),
        );
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
            $point = count($cells) === count($heads)
                ? self::row($cells, $columns, $by === ';')
                : 'it has '.count($cells).' cells, and the heading has '.count($heads);
            if (is_string($point)) {
                $problems[$place + 1] = $point;
            } else {
                $points[] = $point;
            }
        }

        return self::made($points, $problems, in_array(self::TIME, $heads, true));
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
     * @return array{travel: array{int, float}, force: array{int, float}, direction: int|null}|string the place of each
     *     column, and what its unit is of ours; or what is wrong
     */
    private static function columns(array $heads): array|string
    {
        $found = [];
        foreach ($heads as $place => $head) {
            $unit = self::UNITS[$head] ?? null;
            $what = $head === self::TIME ? 'travel' : explode('_', $head)[0];
            if (($unit === null && $head !== 'direction' && $head !== self::TIME) || isset($found[$what])) {
                return 'Line 1: '.Quoted::text($head)
                    .' is not a column of a trace, or stands twice. They are travel_mm (or travel_in, or time_s), force_n (or force_lbf, or force_kgf) and direction.';
            }
            $found[$what] = [$place, $unit?->factor() ?? 1.0];
        }

        return isset($found['travel'], $found['force'])
            ? ['travel' => $found['travel'], 'force' => $found['force'], 'direction' => $found['direction'][0] ?? null]
            : 'Line 1: the heading has to name travel_mm or time_s, and force_n, and may name direction.';
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
        [$mm, $newtons] = [
            Spoken::units()->of(Dimension::Length)->factor(),
            Spoken::units()->of(Dimension::Force)->factor(),
        ];
        $points = $problems = [];
        $way = in_array('back', array_map(static fn (string $line): string => strtolower(trim($line)), $lines), true)
            ? 'pull'
            : '';
        foreach ($lines as $place => $line) {
            $line = trim($line);
            if ($line === '' || strtolower($line) === 'back') {
                $way = $line === '' ? $way : 'release';

                continue;
            }
            $cells = self::typedCells($line);
            $point = self::withUnits($line)
                ?? (count($cells) === 2
                    ? self::point($cells[0], $cells[1], $mm, $newtons, true)
                    : 'type the travel and the force, such as 12.5 31');
            if (is_string($point)) {
                $problems[$place + 1] = $point;
            } else {
                $points[] = [...$point, $way];
            }
        }

        return self::made($points, $problems);
    }

    /**
     * A point with its units, as gauges send it: `12.40 mm 48.1 N`.
     *
     * @return array{float, float}|string|null null where it names none
     */
    private static function withUnits(string $line): array|string|null
    {
        if (preg_match(self::POINT_WITH_UNITS, $line, $part) !== 1) {
            return null;
        }
        [$long, $heavy] = [Unit::tryFromText($part['in']), Unit::tryFromText($part['by'])];
        if ($long?->dimension() !== Dimension::Length || $heavy?->dimension() !== Dimension::Force) {
            return Quoted::text($line).' is no travel and force: type a length and a force, such as 12.5 mm 31 N';
        }

        return self::point($part['travel'], $part['force'], $long->factor(), $heavy->factor(), true);
    }

    /**
     * @return list<string> parted by a space, a tab or a semicolon, with a comma as the decimal mark; else by one comma
     */
    private static function typedCells(string $line): array
    {
        $cells = preg_split('/[;\s]+/', $line, -1, PREG_SPLIT_NO_EMPTY);

        return $cells === false || count($cells) === 1
            ? explode(',', $line)
            : array_map(static fn (string $cell): string => rtrim($cell, ','), $cells);
    }

    /** @return array{float, float}|string mm and N, or what is wrong with them */
    private static function point(
        string $travel,
        string $force,
        float $mm,
        float $newtons,
        bool $hasCommas,
    ): array|string {
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

        return abs($value) <= $most
            ? $value
            : "a {$what} of ".Quoted::text($text).' is beyond what any control here has';
    }

    /**
     * @param  list<array{float, float, string}>  $points
     * @param  array<int, string>  $problems  by line
     */
    private static function made(array $points, array $problems, bool $isByTime = false): self
    {
        if ($problems !== []) {
            return self::refused($problems);
        }
        if (count($points) > PullTrace::MOST_POINTS) {
            return self::refused([
                'There are '.count($points).' points, and '.PullTrace::MOST_POINTS.' can be kept. Take fewer a second.',
            ]);
        }
        $turn = $isByTime ? self::heaviest($points) : self::turn($points);
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
            $pull = Branch::of(...$ways['pull']);
            $release = $ways['release'][0] === [] ? null : Branch::of(...$ways['release']);
            $trace = $isByTime ? PullTrace::steady($pull, $release, self::ANY_REACH) : PullTrace::of($pull, $release);
        } catch (OutOfRange $e) {
            return self::refused([$e->getMessage()]);
        }

        return new self(
            $trace,
            [],
            count($points),
            self::written($isByTime ? self::TIME : 'travel_mm', $pull, $release),
        );
    }

    /**
     * The place of the heaviest point.
     *
     * @param  list<array{float, float, string}>  $points
     */
    private static function heaviest(array $points): int
    {
        $forces = array_column($points, 1);

        return $forces === [] ? 0 : (int) array_search(max($forces), $forces, true);
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
