<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/**
 * The least squares of a broken line with its knots at given places, and the linear model about it: the heights at the
 * knots first, the places of the inner knots behind them. All of it from running sums, so it costs as much for a
 * hundred cells as for a thousand.
 */
final readonly class KnotSystem
{
    /**
     * @param  non-empty-list<float>  $heights
     * @param  array<int, array<int, float>>  $normal  JᵀJ
     * @param  array<int, float>  $toward  Jᵀ(y − f)
     */
    private function __construct(
        public array $heights,
        public float $left,
        private array $normal,
        private array $toward,
    ) {}

    /** @param  non-empty-list<float>  $knots  counted from the cells' zero */
    public static function at(Cells $cells, array $knots): self
    {
        $pieces = self::pieces($cells, $knots);
        $heights = self::heights($pieces);

        return self::about($pieces, $heights, $knots);
    }

    /**
     * @param  int|null  $held  an inner knot, from 0, that stays where it is
     * @return list<float>|null how far each inner knot goes in the next step; null where the model is degenerate
     */
    public function shifts(?int $held = null): ?array
    {
        [$normal, $toward] = [$this->normal, $this->toward];
        if ($held !== null) {
            $row = count($this->heights) + $held;
            foreach (array_keys($normal) as $other) {
                $normal[$row][$other] = $normal[$other][$row] = 0.0;
            }
            $normal[$row][$row] = 1.0;
            $toward[$row] = 0.0;
        }
        $step = self::solved($normal, $toward);

        return $step === null ? null : array_slice($step, count($this->heights));
    }

    /**
     * @param  float|null  $variance  of one point of weight 1, in N²; null where too little is left to tell
     * @return list<float|null> of the place of each inner knot
     */
    public function uncertainties(?float $variance): array
    {
        $size = count($this->normal);
        $told = [];
        for ($row = count($this->heights); $row < $size; $row++) {
            $unit = array_fill(0, $size, 0.0);
            $unit[$row] = 1.0;
            $own = $variance === null ? 0.0 : self::solved($this->normal, $unit)[$row] ?? 0.0;
            $told[] = $own > 0.0 ? sqrt((float) $variance * $own) : null;
        }

        return $told;
    }

    /**
     * What each piece holds, with t from 0 at its left knot to 1 at its right: weight, Σt, Σtt, Σy, Σty, Σyy.
     *
     * @param  non-empty-list<float>  $knots
     * @return list<array{float, float, float, float, float, float}>
     */
    private static function pieces(Cells $cells, array $knots): array
    {
        $pieces = [];
        $from = 0;
        for ($piece = 0, $last = count($knots) - 2; $piece <= $last; $piece++) {
            $to = $piece === $last ? $cells->count() : $cells->upTo($knots[$piece + 1]);
            [$left, $wide] = [$knots[$piece], $knots[$piece + 1] - $knots[$piece]];
            $w = $cells->n[$to] - $cells->n[$from];
            $x = $cells->sx[$to] - $cells->sx[$from];
            $y = $cells->sy[$to] - $cells->sy[$from];
            $xx = $cells->sxx[$to] - $cells->sxx[$from];
            $pieces[] = [
                $w,
                ($x - $left * $w) / $wide,
                ($xx - 2.0 * $left * $x + $left * $left * $w) / ($wide * $wide),
                $y,
                ($cells->sxy[$to] - $cells->sxy[$from] - $left * $y) / $wide,
                $cells->syy[$to] - $cells->syy[$from],
            ];
            $from = $to;
        }

        return $pieces;
    }

    /**
     * @param  list<array{float, float, float, float, float, float}>  $pieces
     * @return non-empty-list<float>
     */
    private static function heights(array $pieces): array
    {
        $size = count($pieces) + 1;
        $normal = array_fill(0, $size, array_fill(0, $size, 0.0));
        $right = array_fill(0, $size, 0.0);
        foreach ($pieces as $place => [$w, $t, $tt, $y, $ty]) {
            $normal[$place][$place] += $w - 2.0 * $t + $tt;
            $normal[$place][$place + 1] += $t - $tt;
            $normal[$place + 1][$place] += $t - $tt;
            $normal[$place + 1][$place + 1] += $tt;
            $right[$place] += $y - $ty;
            $right[$place + 1] += $ty;
        }

        return self::solved($normal, $right) ?? array_fill(0, $size, 0.0);
    }

    /**
     * @param  list<array{float, float, float, float, float, float}>  $pieces
     * @param  non-empty-list<float>  $heights
     * @param  non-empty-list<float>  $knots
     */
    private static function about(array $pieces, array $heights, array $knots): self
    {
        $nodes = count($heights);
        $size = 2 * $nodes - 2;
        $normal = array_fill(0, $size, array_fill(0, $size, 0.0));
        $toward = array_fill(0, $size, 0.0);
        $left = 0.0;
        foreach ($pieces as $place => [$w, $t, $tt, $y, $ty, $yy]) {
            [$a, $b] = [$heights[$place], $heights[$place + 1]];
            $slope = ($b - $a) / ($knots[$place + 1] - $knots[$place]);
            // The two halves of hats that lie on this piece: what they hold of each other, and of what is left over.
            $ll = $w - 2.0 * $t + $tt;
            $lr = $t - $tt;
            $leftOver = [$y - $ty - $a * $ll - $b * $lr, $ty - $a * $lr - $b * $tt];
            $left += $yy - $a * ($y - $ty) - $b * $ty - $a * $leftOver[0] - $b * $leftOver[1];
            $columns = [[$place, 1.0, 0], [$place + 1, 1.0, 1]];
            // A knot that moves takes the line with it: by its slope, on the side that this piece is of.
            if ($place > 0) {
                $columns[] = [$nodes + $place - 1, -$slope, 0];
            }
            if ($place < $nodes - 2) {
                $columns[] = [$nodes + $place, -$slope, 1];
            }
            foreach ($columns as [$row, $by, $side]) {
                $toward[$row] += $by * $leftOver[$side];
                foreach ($columns as [$column, $with, $other]) {
                    $normal[$row][$column] += $by * $with * ($side === $other ? ($side === 0 ? $ll : $tt) : $lr);
                }
            }
        }

        return new self($heights, max(0.0, $left), $normal, $toward);
    }

    /**
     * By Gauss's elimination with the largest pivot.
     *
     * @param  array<int, array<int, float>>  $rows
     * @param  array<int, float>  $right
     * @return non-empty-list<float>|null
     */
    private static function solved(array $rows, array $right): ?array
    {
        $size = count($right);
        for ($column = 0; $column < $size; $column++) {
            $pivot = $column;
            for ($row = $column + 1; $row < $size; $row++) {
                $pivot = abs($rows[$row][$column]) > abs($rows[$pivot][$column]) ? $row : $pivot;
            }
            if (abs($rows[$pivot][$column]) < 1e-12) {
                return null;
            }
            [$rows[$column], $rows[$pivot]] = [$rows[$pivot], $rows[$column]];
            [$right[$column], $right[$pivot]] = [$right[$pivot], $right[$column]];
            for ($row = $column + 1; $row < $size; $row++) {
                $by = $rows[$row][$column] / $rows[$column][$column];
                for ($cell = $column; $cell < $size && $by !== 0.0; $cell++) {
                    $rows[$row][$cell] -= $by * $rows[$column][$cell];
                }
                $right[$row] -= $by * $right[$column];
            }
        }
        $solution = array_fill(0, max(1, $size), 0.0);
        for ($row = $size - 1; $row >= 0; $row--) {
            $sum = $right[$row];
            for ($cell = $row + 1; $cell < $size; $cell++) {
                $sum -= $rows[$row][$cell] * $solution[$cell];
            }
            $solution[$row] = $sum / $rows[$row][$row];
        }

        return array_values($solution);
    }
}
