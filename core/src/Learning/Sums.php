<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/** Weighted, centred sums of slack given (x) and play read (y), kept up to date in one pass (West, 1979). */
final readonly class Sums
{
    private function __construct(
        public float $weight,
        public float $meanX,
        public float $meanY,
        public float $xx,
        public float $xy,
        public float $yy,
    ) {}

    public static function none(): self
    {
        return new self(0.0, 0.0, 0.0, 0.0, 0.0, 0.0);
    }

    public function with(float $x, float $y, float $weight): self
    {
        $total = $this->weight + $weight;
        $share = $weight / $total;
        $dx = $x - $this->meanX;
        $dy = $y - $this->meanY;
        $spread = $this->weight * $share;

        return new self(
            $total,
            $this->meanX + $share * $dx,
            $this->meanY + $share * $dy,
            $this->xx + $spread * $dx * $dx,
            $this->xy + $spread * $dx * $dy,
            $this->yy + $spread * $dy * $dy,
        );
    }
}
