<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

/** Play as it was read, in mm at the reading point, with its standard uncertainty. */
final readonly class Play
{
    public function __construct(public float $mm, public float $standard) {}
}
