<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/**
 * A line of straight pieces that meet at knots, fitted to the cells of a branch by least squares in the heights and the
 * places of its knots together.
 *
 * The places are found by Gauss and Newton's steps, each halved until it helps, from where the pieces that need not
 * meet had their ends. The standard uncertainty of a place is that of the linear model at the end: σ²(JᵀJ)⁻¹, σ² from
 * what is left over (Seber and Wild, *Nonlinear Regression*, 2.1 and 9.3 [memory]; the same as Muggeo's, *Statistics in
 * Medicine* 22 (2003) 3055).
 */
final readonly class BrokenLine
{
    private const STEPS = 40;

    /** In cells. */
    private const NUDGES = [-2.0, -0.7, 0.7, 2.0];

    /**
     * @param  non-empty-list<float>  $knots  in mm, both ends of the branch among them
     * @param  non-empty-list<float>  $heights  in N, at each
     * @param  list<float|null>  $uncertainties  standard uncertainty of each inner knot's place, in mm; null where it
     *     cannot be said
     */
    private function __construct(
        public array $knots,
        public array $heights,
        public array $uncertainties,
        public float $left,
        public int $cells,
        private float $scatter,
    ) {}

    /** @param  list<int>  $starts  the first cell of each segment */
    public static function fitted(Cells $cells, array $starts): self
    {
        $last = $cells->count() - 1;
        $knots = [$cells->x[0]];
        foreach (array_slice($starts, 1) as $start) {
            $knots[] = 0.5 * ($cells->x[$start - 1] + $cells->x[$start]);
        }
        $knots[] = $cells->x[$last];
        $knots = self::refined($cells, $knots);
        $system = KnotSystem::at($cells, $knots);

        return self::standing($cells, $knots, $system, $system->left);
    }

    /** The same once its knots were nudged, each in turn. */
    public function settled(Cells $cells): self
    {
        $knots = self::nudged($cells, $this->from($cells));
        $system = KnotSystem::at($cells, $knots);

        return self::standing($cells, $knots, $system, $system->left);
    }

    /**
     * Its knots placed anew by the same points in finer cells. What is left over is still counted over the coarser
     * ones, so the neighbours of a gauge that hang together make nothing surer.
     */
    public function placedBy(Cells $fine, Cells $coarse): self
    {
        $knots = $this->from($fine);
        $knots[0] = min($knots[0], $fine->x[0]);
        $knots[count($knots) - 1] = max($knots[count($knots) - 1], $fine->x[$fine->count() - 1]);
        $knots = self::refined($fine, $knots);

        return self::standing($coarse, $knots, KnotSystem::at($fine, $knots), KnotSystem::at($coarse, $knots)->left);
    }

    /** @param  non-empty-list<float>  $knots */
    private static function standing(Cells $cells, array $knots, KnotSystem $system, float $left): self
    {
        $back = array_map(static fn (float $x): float => $x + $cells->zero, $knots);
        $free = $cells->count() - 2 * (count($knots) - 1);

        return new self(
            $back,
            $system->heights,
            $system->uncertainties($free > 0 ? $left / $free : null),
            $left,
            $cells->count(),
            sqrt($left / $cells->n[$cells->count()]),
        );
    }

    /** How many straight pieces it has. */
    public function pieces(): int
    {
        return count($this->knots) - 1;
    }

    /** N for each mm. */
    public function slope(int $piece): float
    {
        return ($this->heights[$piece + 1]
            - $this->heights[$piece]) / ($this->knots[$piece + 1] - $this->knots[$piece]);
    }

    /** How far a knot stands off the straight line between two others, in N. */
    public function bend(int $from, int $knot, int $to): float
    {
        $share = ($this->knots[$knot] - $this->knots[$from]) / ($this->knots[$to] - $this->knots[$from]);

        return abs(
            $this->heights[$knot] - $this->heights[$from] - $share * ($this->heights[$to] - $this->heights[$from]),
        );
    }

    /** How far the cells lie off it, in N. */
    public function scatter(): float
    {
        return $this->scatter;
    }

    public function force(float $travel): float
    {
        $piece = 0;
        while ($piece < $this->pieces() - 1 && $travel > $this->knots[$piece + 1]) {
            $piece++;
        }

        return $this->heights[$piece] + $this->slope($piece) * ($travel - $this->knots[$piece]);
    }

    /**
     * Schwarz's criterion, the smaller the better: m ln(left / m) + (2K + 1) ln m for K pieces over m cells.
     *
     * @param  float  $floor  the least that counts as left over, in N²: a fit without any noise is no better than one
     *     below what a gauge shows
     */
    public function criterion(float $floor = 0.0): float
    {
        return $this->cells * log(max($this->left, $floor, 1e-300) / $this->cells)
            + (2 * $this->pieces() + 1) * log($this->cells);
    }

    /** What is free to tell how much is left over: cells less heights and places. */
    public function freedom(): int
    {
        return $this->cells - 2 * $this->pieces();
    }

    /** Where an inner knot may be, counted from 1; null where too little is left over to tell. */
    public function place(int $which, Cells $cells): ?KnotProfile
    {
        $linear = $this->uncertainties[$which - 1];
        $knots = $this->from($cells);

        return $linear === null
            ? null
            : KnotProfile::of($cells, $knots, $which, $linear, $this->left / $this->freedom());
    }

    /**
     * @param  non-empty-list<float>  $knots
     * @return non-empty-list<float>
     */
    private static function refined(Cells $cells, array $knots): array
    {
        $system = KnotSystem::at($cells, $knots);
        for ($step = 0; $step < self::STEPS && count($knots) > 2; $step++) {
            $better = self::better($cells, $knots, $system);
            if ($better === null) {
                break;
            }
            [$moved, $next] = $better;
            $gain = $system->left - $next->left;
            [$knots, $system] = [$moved, $next];
            if ($gain <= 1e-11 * $system->left) {
                break;
            }
        }

        return $knots;
    }

    /** @return non-empty-list<float> its knots, counted from the cells' zero */
    private function from(Cells $cells): array
    {
        return array_map(static fn (float $knot): float => $knot - $cells->zero, $this->knots);
    }

    /**
     * The best of what the steps end at when each knot in turn begins a little further: what is left has a bend at
     * every cell, where a step may stop short.
     *
     * @param  non-empty-list<float>  $knots
     * @return non-empty-list<float>
     */
    private static function nudged(Cells $cells, array $knots): array
    {
        $cell = ($knots[count($knots) - 1] - $knots[0]) / $cells->count();
        $left = KnotSystem::at($cells, $knots)->left;
        for ($which = 1; $which < count($knots) - 1; $which++) {
            foreach (self::NUDGES as $by) {
                $begun = [
                    ...array_slice($knots, 0, $which),
                    $knots[$which] + $by * $cell,
                    ...array_slice($knots, $which + 1),
                ];
                $tried = self::stands($cells, $begun) ? self::refined($cells, $begun) : $knots;
                $now = KnotSystem::at($cells, $tried)->left;
                [$knots, $left] = $now < $left ? [$tried, $now] : [$knots, $left];
            }
        }

        return $knots;
    }

    /**
     * One step, halved until it helps; null where it does not.
     *
     * @param  non-empty-list<float>  $knots
     * @param  int|null  $held  an inner knot, from 0, that stays where it is
     * @param  float  $least  the smallest share of the step that is tried
     * @return array{non-empty-list<float>, KnotSystem}|null
     */
    public static function better(
        Cells $cells,
        array $knots,
        KnotSystem $system,
        ?int $held = null,
        float $least = 0.02,
    ): ?array {
        $shifts = $system->shifts($held);
        for ($halved = 1.0; $halved > $least && $shifts !== null; $halved *= 0.5) {
            $moved = self::moved($knots, $shifts, $halved);
            if (! self::stands($cells, $moved)) {
                continue;
            }
            $next = KnotSystem::at($cells, $moved);
            if ($next->left < $system->left) {
                return [$moved, $next];
            }
        }

        return null;
    }

    /**
     * The inner knots moved by a share of their shifts.
     *
     * @param  non-empty-list<float>  $knots
     * @param  list<float>  $shifts
     * @return non-empty-list<float>
     */
    private static function moved(array $knots, array $shifts, float $share): array
    {
        $moved = [$knots[0]];
        foreach ($shifts as $place => $shift) {
            $moved[] = $knots[$place + 1] + $share * $shift;
        }
        $moved[] = $knots[count($knots) - 1];

        return $moved;
    }

    /**
     * Whether the knots are in order, with a cell in each piece.
     *
     * @param  non-empty-list<float>  $knots
     */
    public static function stands(Cells $cells, array $knots): bool
    {
        $before = 0;
        for ($piece = 1, $most = count($knots) - 1; $piece <= $most; $piece++) {
            $upTo = $piece === $most ? $cells->count() : $cells->upTo($knots[$piece]);
            if ($knots[$piece] <= $knots[$piece - 1] || $upTo - $before < 1) {
                return false;
            }
            $before = $upTo;
        }

        return true;
    }
}
