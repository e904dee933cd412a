<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/**
 * What tightening the lock does to this control: mm of conduit by which it gives slack (above zero) or takes it, from
 * pairs read before and after a lock. Until there are pairs it is taken for nothing, and may be a fifth of a flat of M8
 * either way (ours).
 */
final readonly class LockCreep
{
    private const USUAL = 0.05;

    /** Pairs that the usual figure counts for (ours). */
    private const WEIGHT = 1.0;

    /** Pairs from which on the last move aims off by it (ours). */
    private const ENOUGH = 2;

    /** @param  int  $pairs  read before and after a lock */
    public function __construct(private float $sum = 0.0, private float $squares = 0.0, public int $pairs = 0) {}

    /** @return array{sum_mm: float, squares_mm2: float, pairs: int} */
    public function sums(): array
    {
        return ['sum_mm' => $this->sum, 'squares_mm2' => $this->squares, 'pairs' => $this->pairs];
    }

    public function with(float $slackGiven): self
    {
        return new self($this->sum + $slackGiven, $this->squares + $slackGiven ** 2, $this->pairs + 1);
    }

    /** mm of conduit, drawn towards nothing while there are few pairs. */
    public function mean(): float
    {
        return $this->sum / ($this->pairs + self::WEIGHT);
    }

    /** How the next lock may differ from that, in mm of conduit. */
    public function deviation(): float
    {
        $mean = $this->mean();
        $own = max(0.0, $this->squares - 2 * $mean * $this->sum + $this->pairs * $mean ** 2);

        return sqrt(($own + self::WEIGHT * self::USUAL ** 2) / ($this->pairs + self::WEIGHT));
    }

    /** mm of play by which the last move aims off, so that the lock brings it to where it should be. */
    public function expectedAt(float $ratio): float
    {
        return $this->pairs >= self::ENOUGH ? $this->mean() * $ratio : 0.0;
    }
}
