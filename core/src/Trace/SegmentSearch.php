<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/**
 * The best fit of straight lines to the cells of a branch, one line a segment, that need not meet: for every number of
 * segments at once.
 *
 * Dynamic programming (Bellman and Roth, *Curve fitting by segmented straight lines*, 1969 [memory]): the best K
 * segments up to a cell are the best K − 1 up to an earlier one and one line for the rest. Nothing better can be had
 * with knots between cells, so the answer is the best there is.
 */
final readonly class SegmentSearch
{
    /** The fewest cells of one segment: two are met by a line without telling anything. */
    public const LEAST = 3;

    /** @param  list<list<int>>  $starts  for each number of segments from one: the first cell of each */
    private function __construct(private array $starts, /** @var list<float> */ private array $errors) {}

    public static function of(Cells $cells, int $most): self
    {
        $count = $cells->count();
        $most = min($most, intdiv($count, self::LEAST));
        $error = self::errors($cells);
        $best = $error[0];
        $cameFrom = [];
        $totals = [$best[$count] ?? 0.0];
        for ($segments = 2; $segments <= $most; $segments++) {
            [$best, $cameFrom[$segments]] = self::oneMore($best, $error, $segments, $count);
            $totals[] = $best[$count];
        }
        $starts = [];
        for ($segments = 1; $segments <= max(1, $most); $segments++) {
            $starts[] = self::traced($cameFrom, $segments, $count);
        }

        return new self($starts, $totals);
    }

    /** How many segments were tried. */
    public function most(): int
    {
        return count($this->starts);
    }

    /** @return list<int> the first cell of each segment */
    public function starts(int $segments): array
    {
        return $this->starts[$segments - 1];
    }

    /** What is left of the squares, in N², over all points. */
    public function error(int $segments): float
    {
        return $this->errors[$segments - 1];
    }

    /**
     * By the first cell and the cell after the last: the squares that the best line leaves there.
     *
     * @return array<int, array<int, float>>
     */
    private static function errors(Cells $cells): array
    {
        [$n, $sx, $sy, $sxx, $sxy, $syy] = [$cells->n, $cells->sx, $cells->sy, $cells->sxx, $cells->sxy, $cells->syy];
        $count = $cells->count();
        $errors = [];
        for ($from = 0; $from <= $count - self::LEAST; $from++) {
            [$n0, $x0, $y0, $xx0, $xy0, $yy0] = [
                $n[$from],
                $sx[$from],
                $sy[$from],
                $sxx[$from],
                $sxy[$from],
                $syy[$from],
            ];
            $row = [];
            for ($to = $from + self::LEAST; $to <= $count; $to++) {
                $w = $n[$to] - $n0;
                $x = $sx[$to] - $x0;
                $y = $sy[$to] - $y0;
                $xx = $sxx[$to] - $xx0 - $x * $x / $w;
                $xy = $sxy[$to] - $xy0 - $x * $y / $w;
                $left = $syy[$to] - $yy0 - $y * $y / $w - $xy * $xy / $xx;
                $row[$to] = $left > 0.0 ? $left : 0.0;
            }
            $errors[$from] = $row;
        }

        return $errors;
    }

    /**
     * @param  array<int, float>  $before  by the cell after the last, with one segment fewer
     * @param  array<int, array<int, float>>  $error
     * @return array{array<int, float>, array<int, int>}
     */
    private static function oneMore(array $before, array $error, int $segments, int $count): array
    {
        $best = array_fill(0, $count + 1, INF);
        $from = array_fill(0, $count + 1, 0);
        $least = self::LEAST;
        for ($start = ($segments - 1) * $least; $start <= $count - $least; $start++) {
            $sofar = $before[$start];
            foreach ($error[$start] as $to => $more) {
                if ($sofar + $more < $best[$to]) {
                    $best[$to] = $sofar + $more;
                    $from[$to] = $start;
                }
            }
        }

        return [$best, $from];
    }

    /**
     * @param  array<int, array<int, int>>  $cameFrom
     * @return list<int>
     */
    private static function traced(array $cameFrom, int $segments, int $count): array
    {
        $starts = [];
        $to = $count;
        for ($segment = $segments; $segment > 1; $segment--) {
            $to = $cameFrom[$segment][$to];
            array_unshift($starts, $to);
        }

        return [0, ...$starts];
    }
}
