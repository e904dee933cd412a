<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/** One way of a trace as straight pieces, fitted without its snags: as many as Schwarz's criterion asks for. */
final readonly class Curve
{
    /** Free play, return spring picked up, return spring, take-up, working, stop, and one to spare. */
    public const MOST_PIECES = 7;

    /** What a gauge shows as its last figure: a fit that leaves less than this is no better for it. In N. */
    private const FINEST = 0.005;

    /**
     * @param  Cells  $clean  what its knots were placed by
     */
    private function __construct(
        public Cells $cells,
        public BrokenLine $line,
        private Snags $found,
        private Cells $clean,
    ) {}

    public static function of(Branch $branch, int $most = Cells::MOST): self
    {
        $cells = Cells::of($branch, $most);
        $snags = Snags::in($cells);
        $clean = $cells->without($snags->stretches);

        return new self($cells, self::fitted($clean), $snags, $clean);
    }

    /** Its knots settled, and placed by finer cells. */
    public function closer(Branch $branch): self
    {
        $settled = $this->line->settled($this->clean);
        if ($branch->count() <= Cells::MOST) {
            return new self($this->cells, $settled, $this->found, $this->clean);
        }
        $fine = Cells::of($branch, Cells::FINE)->without($this->found->stretches);

        return new self($this->cells, $settled->placedBy($fine, $this->clean), $this->found, $fine);
    }

    /** @return list<Snag> with their travel as it was measured */
    public function snags(): array
    {
        return $this->found->found;
    }

    /**
     * Where an inner knot may be, in mm of travel; `$which` counts from 1. Null where too little is left over to tell.
     */
    public function place(int $which): ?KnotProfile
    {
        return $this->line->place($which, $this->clean);
    }

    private static function fitted(Cells $cells): BrokenLine
    {
        $search = SegmentSearch::of($cells, self::MOST_PIECES);
        $floor = $cells->n[$cells->count()] * self::FINEST ** 2 / 12.0;
        $best = BrokenLine::fitted($cells, $search->starts(1));
        for ($pieces = 2; $pieces <= $search->most() && 2 * $pieces < $cells->count(); $pieces++) {
            $line = BrokenLine::fitted($cells, $search->starts($pieces));
            $best = $line->criterion($floor) < $best->criterion($floor) ? $line : $best;
        }

        return $best;
    }
}
