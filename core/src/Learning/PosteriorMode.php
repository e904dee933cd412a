<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Cable\RatioPrior;

/**
 * The most likely ln R and the width of the curve there, found by Newton's method on
 * (ln R − m)²/2k² + ½(R²·Sxx − 2R·Sxy), from where it stood before the last reading.
 */
final readonly class PosteriorMode
{
    private const STEPS = 30;

    /** No step goes further than this many prior deviations, and the peak no further than this from the prior. */
    private const FARTHEST = 12.0;

    /** Close enough, in widths of the curve: the grid laid about the peak is six of them wide to either side. */
    private const CLOSE = 0.01;

    private function __construct(public float $ln, public float $spread, public float $height) {}

    public static function ofPrior(RatioPrior $prior): self
    {
        return new self($prior->ln, $prior->spread, 0.0);
    }

    public function with(RatioPrior $prior, float $xx, float $xy): self
    {
        $precision = 1 / ($prior->spread * $prior->spread);
        $ln = $this->ln;
        for ($i = 0; $i < self::STEPS; $i++) {
            $ratio = exp($ln);
            $slope = ($ln - $prior->ln) * $precision - $ratio * $xy + $ratio * $ratio * $xx;
            // Where the curve bends the other way, the squared part alone still leads downhill.
            $bend = $precision + max($ratio * $ratio * $xx, 2 * $ratio * $ratio * $xx - $ratio * $xy);
            $step = max(-$prior->spread, min($prior->spread, $slope / $bend));
            $ln = max(
                $prior->ln - self::FARTHEST * $prior->spread,
                min($prior->ln + self::FARTHEST * $prior->spread, $ln - $step),
            );
            if ($step * $step * $bend < self::CLOSE * self::CLOSE) {
                break;
            }
        }
        $ratio = exp($ln);
        $off = ($ln - $prior->ln) / $prior->spread;

        return new self(
            $ln,
            1 / sqrt($precision + max(0.0, 2 * $ratio * $ratio * $xx - $ratio * $xy)),
            $ratio * $xy - 0.5 * $ratio * $ratio * $xx - 0.5 * $off * $off,
        );
    }
}
