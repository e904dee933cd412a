<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** What it takes to reach an adjuster: minutes, the cover or boot in the way (null when none is), the tools. */
final readonly class AdjusterAccess
{
    private function __construct(public float $minutes, public ?string $cover, public string $tools) {}

    public static function of(float $minutes, ?string $cover, string $tools): self
    {
        return new self($minutes, $cover, $tools);
    }
}
