<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/** A place where the force stands out of the curve: travel in mm, and by how many N (below zero where it drops). */
final readonly class Snag
{
    public function __construct(public float $atMm, public float $newtons) {}
}
