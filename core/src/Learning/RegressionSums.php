<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/**
 * Weighted, centred sums of slack given (x), play read (y) and the side each setting was come from (d: +1 slack given
 * last, −1 taken away last, 0 not moved yet), kept up to date in one pass (West, 1979).
 */
final readonly class RegressionSums
{
    private function __construct(
        public float $weight,
        public float $meanX,
        public float $meanY,
        public float $meanD,
        public float $xx,
        public float $xy,
        public float $yy,
        public float $dd,
        public float $dx,
        public float $dy,
    ) {}

    public static function none(): self
    {
        return new self(0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0);
    }

    public function with(float $x, float $y, float $d, float $weight): self
    {
        $total = $this->weight + $weight;
        $share = $weight / $total;
        [$ofX, $ofY, $ofD] = [$x - $this->meanX, $y - $this->meanY, $d - $this->meanD];
        $spread = $this->weight * $share;

        return new self(
            $total,
            $this->meanX + $share * $ofX,
            $this->meanY + $share * $ofY,
            $this->meanD + $share * $ofD,
            $this->xx + $spread * $ofX * $ofX,
            $this->xy + $spread * $ofX * $ofY,
            $this->yy + $spread * $ofY * $ofY,
            $this->dd + $spread * $ofD * $ofD,
            $this->dx + $spread * $ofD * $ofX,
            $this->dy + $spread * $ofD * $ofY,
        );
    }

    /**
     * The same where the level may have shifted since, by an amount of this variance in mm²: what is known of the slope
     * stays, and the level counts for less (a random walk of the level, as in a Kalman filter).
     */
    public function loosened(float $variance): self
    {
        return $this->weight === 0.0 || $variance <= 0.0 ? $this
            : new self(
                1 / (1 / $this->weight + $variance),
                $this->meanX,
                $this->meanY,
                $this->meanD,
                $this->xx,
                $this->xy,
                $this->yy,
                $this->dd,
                $this->dx,
                $this->dy,
            );
    }
}
