<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

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
    ) {}
}
