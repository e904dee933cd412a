<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/** A tightening torque of the book, in N·m, for what it names. */
final readonly class Torque
{
    public function __construct(public string $what, public float $nm) {}
}
