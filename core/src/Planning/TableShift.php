<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Learning\Interval;

/** A shift of one mover at the arm, in the table's unit. */
final readonly class TableShift
{
    public function __construct(
        public float $x,
        /** Whether every offset that fits what was seen would be cured by it. */
        public bool $isCertain,
        /** Whether it could cure every setting by itself. */
        public bool $isWhole,
        /** Settings that could be right after it. */
        public int $right,
        /** All shifts that could do, and those that must. */
        private Interval $possible,
        private Interval $certain,
    ) {}

    /** The same as near as there is room for; null where what there is room for cannot do. */
    public function within(float $from, float $to): ?self
    {
        if ($this->x >= $from && $this->x <= $to) {
            return $this;
        }
        $x = max($from, min($to, $this->x));
        $isSure = ! $this->certain->isEmpty() && $x >= $this->certain->from && $x <= $this->certain->to;

        return $x * $this->x > 0.0 && $x >= $this->possible->from && $x <= $this->possible->to
            ? new self($x, $isSure, $this->isWhole, $this->right, $this->possible, $this->certain) : null;
    }
}
