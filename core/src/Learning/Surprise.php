<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/**
 * A reading the belief gave less than one chance in a thousand: wrong way, or something slipped. It teaches nothing.
 */
final readonly class Surprise
{
    public const BELOW = 0.001;

    public function __construct(public float $expected, public float $found) {}

    /** How much of what was to come has come, from what was read before, in mm; 1 where nothing was to come. */
    public function share(float $before): float
    {
        $wanted = $this->expected - $before;

        return $wanted === 0.0 ? 1.0 : ($this->found - $before) / $wanted;
    }
}
