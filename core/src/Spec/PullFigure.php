<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Procedure\LeverPull;
use VividPull\Core\Quantity\Figure;

/** What a new cable took, at a distance from the pivot of the lever in mm. */
final readonly class PullFigure implements Aim
{
    private function __construct(public LeverPull $fresh, public float $atMm) {}

    public static function of(LeverPull $fresh, float $atMm): self
    {
        return new self($fresh, $atMm);
    }

    public function say(): string
    {
        return 'pulled with '.Figure::force($this->fresh->pull).' when new';
    }
}
