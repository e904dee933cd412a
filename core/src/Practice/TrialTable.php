<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** Many hidden machines of one kind, and what came of them. */
final readonly class TrialTable
{
    /** @param  list<TrialResult>  $results  one at least */
    private function __construct(public TrialRow $row, private array $results) {}

    /** @param  int<1, max>  $machines */
    public static function of(TrialRow $row, int $machines, int $seed): self
    {
        $results = [];
        for ($n = 0; $n < $machines; $n++) {
            $results[] = Trial::of($row, new SeededChance($seed + $n));
        }

        return new self($row, $results);
    }

    /** Moves that this share of the machines needed at most. */
    public function movesOf(float $share): int
    {
        $moves = array_map(static fn (TrialResult $result): int => $result->moves, $this->results);
        sort($moves);

        return $moves[min(count($moves) - 1, (int) ceil($share * count($moves)) - 1)];
    }

    public function overshot(): float
    {
        return self::share(array_map(static fn (TrialResult $result): bool => $result->overshot, $this->results));
    }

    /**
     * Share of the machines that one who knew them could set with one move; the rest have a flat coarser than their
     * band.
     */
    public function knowingInOne(): float
    {
        return self::share(array_map(static fn (TrialResult $result): bool => $result->knowing, $this->results));
    }

    public function neverInside(): float
    {
        return self::share(array_map(static fn (TrialResult $result): bool => ! $result->inside, $this->results));
    }

    /** Share of the machines that were called inside and are not. */
    public function falselyInside(): float
    {
        return self::share(array_map(
            static fn (TrialResult $result): bool => $result->saidInside && ! $result->inside,
            $this->results,
        ));
    }

    /** Share of the machines in which the bench turned to and fro three times or more. */
    public function swung(): float
    {
        return self::share(array_map(static fn (TrialResult $result): bool => $result->reversals >= 3, $this->results));
    }

    /** Share of readings after the first move that fell in the 95 % range foretold. */
    public function firstForetold(): float
    {
        return self::share(array_merge(...array_map(
            static fn (TrialResult $result): array => array_slice($result->foretold, 0, 1),
            $this->results,
        )));
    }

    public function laterForetold(): float
    {
        return self::share(array_merge(...array_map(
            static fn (TrialResult $result): array => array_slice($result->foretold, 1),
            $this->results,
        )));
    }

    public function meanWidth(): float
    {
        $widths = array_merge(...array_map(static fn (TrialResult $result): array => $result->widths, $this->results));

        return $widths === [] ? 0.0 : array_sum($widths) / count($widths);
    }

    /** @param  list<bool>  $all */
    private static function share(array $all): float
    {
        return $all === [] ? NAN : count(array_filter($all, static fn (bool $one): bool => $one)) / count($all);
    }
}
