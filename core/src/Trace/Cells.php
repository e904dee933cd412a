<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/**
 * Points of one branch of a trace in the order of their travel, gathered into at most `MOST` cells, with running sums:
 * what any stretch of cells holds is a difference of two of them.
 *
 * Up to `MOST` points each is a cell of its own. More are gathered into cells of equal width, and stand for the mean of
 * what is in them; the spread between the means is what the fit is judged by, so a gauge whose neighbouring samples
 * hang together is not taken for a surer one.
 */
final readonly class Cells
{
    /** A lever of 60 mm is cut every 0.2 mm; a knot is found far closer than that. */
    public const MOST = 300;

    /** Enough for the way back, from which no play is read. */
    public const FEW = 150;

    /** So fine are they cut once it is known about where the knots are. */
    public const FINE = 6_000;

    /**
     * @param  list<float>  $x  travel in mm, less `$zero`
     * @param  list<float>  $y  force in N
     * @param  list<float>  $weight  points in each
     * @param  non-empty-list<float>  $n  running sums, one more than there are cells
     * @param  non-empty-list<float>  $sx
     * @param  non-empty-list<float>  $sy
     * @param  non-empty-list<float>  $sxx
     * @param  non-empty-list<float>  $sxy
     * @param  non-empty-list<float>  $syy
     */
    private function __construct(
        public float $zero,
        public array $x,
        public array $y,
        public array $weight,
        public array $n,
        public array $sx,
        public array $sy,
        public array $sxx,
        public array $sxy,
        public array $syy,
    ) {}

    public static function of(Branch $branch, int $most = self::MOST): self
    {
        return count($branch->travel) <= $most ? self::each($branch) : self::binned($branch, $most);
    }

    /** @param  list<array{float, float}>  $stretches  of travel, in mm, that are left out */
    public function without(array $stretches): self
    {
        if ($stretches === []) {
            return $this;
        }
        [$x, $y, $weight] = [[], [], []];
        foreach ($this->x as $cell => $at) {
            $mm = $at + $this->zero;
            if (array_filter($stretches, static fn (array $one): bool => $mm >= $one[0] && $mm <= $one[1]) === []) {
                $x[] = $at;
                $y[] = $this->y[$cell];
                $weight[] = $this->weight[$cell];
            }
        }

        return self::summed($this->zero, $x, $y, $weight);
    }

    public function count(): int
    {
        return count($this->x);
    }

    /** Travel of a cell, in mm. */
    public function at(int $cell): float
    {
        return $this->x[$cell] + $this->zero;
    }

    /** How many cells lie at or before a travel that is counted from `$zero`. */
    public function upTo(float $x): int
    {
        [$low, $high] = [0, count($this->x)];
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if ($this->x[$middle] <= $x) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    private static function each(Branch $branch): self
    {
        $order = $branch->travel;
        asort($order);
        [$x, $y, $weight] = [[], [], []];
        $zero = self::middle($branch->travel);
        foreach ($order as $place => $travel) {
            if ($x !== [] && $x[count($x) - 1] === $travel - $zero) {
                // Two readings at one travel are one cell: no line can tell them apart.
                $w = array_pop($weight);
                $y[] = (array_pop($y) * $w + $branch->force[$place]) / ($w + 1.0);
                $weight[] = $w + 1.0;

                continue;
            }
            $x[] = $travel - $zero;
            $y[] = $branch->force[$place];
            $weight[] = 1.0;
        }

        return self::summed($zero, $x, $y, $weight);
    }

    private static function binned(Branch $branch, int $most): self
    {
        $from = min($branch->travel);
        $width = (max($branch->travel) - $from) / $most;
        $counts = $xs = $ys = array_fill(0, $most + 1, 0.0);
        $force = $branch->force;
        foreach ($branch->travel as $place => $travel) {
            $cell = (int) (($travel - $from) / $width);
            $counts[$cell] += 1.0;
            $xs[$cell] += $travel;
            $ys[$cell] += $force[$place];
        }
        $zero = self::middle($branch->travel);
        [$x, $y, $weight] = [[], [], []];
        foreach ($counts as $cell => $count) {
            if ($count > 0.0) {
                $x[] = $xs[$cell] / $count - $zero;
                $y[] = $ys[$cell] / $count;
                $weight[] = $count;
            }
        }

        return self::summed($zero, $x, $y, $weight);
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @param  list<float>  $weight
     */
    private static function summed(float $zero, array $x, array $y, array $weight): self
    {
        $n = $sx = $sy = $sxx = $sxy = $syy = [0.0];
        foreach ($x as $place => $at) {
            [$w, $force] = [$weight[$place], $y[$place]];
            $n[] = $n[$place] + $w;
            $sx[] = $sx[$place] + $w * $at;
            $sy[] = $sy[$place] + $w * $force;
            $sxx[] = $sxx[$place] + $w * $at * $at;
            $sxy[] = $sxy[$place] + $w * $at * $force;
            $syy[] = $syy[$place] + $w * $force * $force;
        }

        return new self($zero, $x, $y, $weight, $n, $sx, $sy, $sxx, $sxy, $syy);
    }

    /** @param  non-empty-list<float>  $travel */
    private static function middle(array $travel): float
    {
        return 0.5 * (min($travel) + max($travel));
    }
}
