<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/** A bound on a few unknown offsets: their weighted sum is at least so much. */
final readonly class HalfPlane
{
    /** @param  list<float>  $weights */
    public function __construct(public array $weights, public float $least) {}

    /** @param  list<float>  $at */
    public function holds(array $at, float $slack): bool
    {
        return $this->sum($at) >= $this->least - $slack;
    }

    /** @param  list<float>  $at */
    public function sum(array $at): float
    {
        $sum = 0.0;
        foreach ($this->weights as $place => $weight) {
            $sum += $weight * $at[$place];
        }

        return $sum;
    }
}
