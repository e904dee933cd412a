<?php

declare(strict_types=1);

namespace VividPull\Core\Statistics;

use VividPull\Core\Errors\OutOfRange;

/**
 * A weighted straight line through the origin, y = b·x.
 *
 * b = Σwxy / Σwx², s² = Σw(y − bx)² / (n − 1), standard error of b = s / √Σwx²: weighted least squares with one
 * parameter. With weights 1/u² of known standard uncertainties, s is what the scatter is in those uncertainties.
 */
final readonly class ThroughOrigin
{
    private function __construct(
        public float $slope,
        /** Null from one point, which has no scatter. */
        public ?float $residual,
        public int $points,
        private float $weight,
    ) {}

    /**
     * @param  non-empty-list<array{x: float, y: float, weight: float}>  $points
     *
     * @throws OutOfRange If no point lies away from the origin with a weight above zero.
     */
    public static function of(array $points): self
    {
        [$xy, $xx] = [0.0, 0.0];
        foreach ($points as ['x' => $x, 'y' => $y, 'weight' => $weight]) {
            $xy += $weight * $x * $y;
            $xx += $weight * $x * $x;
        }
        if ($xx <= 0.0) {
            throw OutOfRange::positive('The sum of weights about the origin', $xx);
        }
        $slope = $xy / $xx;
        $squares = 0.0;
        foreach ($points as ['x' => $x, 'y' => $y, 'weight' => $weight]) {
            $squares += $weight * ($y - $slope * $x) ** 2;
        }
        $n = count($points);

        return new self($slope, $n < 2 ? null : sqrt($squares / ($n - 1)), $n, $xx);
    }

    /**
     * Standard error of the slope.
     *
     * @param  float  $least  the scatter never taken to be less than this: 1 where the weights are 1/u²
     */
    public function standardError(float $least = 0.0): float
    {
        return max($this->residual ?? 0.0, $least) / sqrt($this->weight);
    }

    /** Standard error of the slope where the weights are 1/u² and the scatter is just that. */
    public function errorOfUnit(): float
    {
        return 1 / sqrt($this->weight);
    }

    public function freedom(): int
    {
        return $this->points - 1;
    }
}
