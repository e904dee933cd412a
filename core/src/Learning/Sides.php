<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/**
 * By how much play reads differently when the last turn gave slack instead of taking it, in mm, and the chance that it
 * does at all.
 */
final readonly class Sides
{
    /** From here on it is taken for real (ours). */
    private const LIKELY = 0.8;

    public function __construct(public float $apart, public float $chance) {}

    public function areKnown(): bool
    {
        return $this->chance >= self::LIKELY;
    }
}
