<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/** Another machine's figure as the target: what it was left at, in mm at the same reading point. */
final readonly class SetLike
{
    public function __construct(public string $machine, public float $mm) {}
}
