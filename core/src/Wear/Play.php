<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

/**
 * Play as it was read, in mm at the reading point, with its standard uncertainty and its degrees of freedom, from 1 to
 * INF.
 */
final readonly class Play
{
    public function __construct(public float $mm, public float $standard, public float $freedom = INF) {}
}
