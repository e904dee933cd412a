<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/** The weakest of each kind of plate and spring at an earlier inspection, in mm, and what the meter said then. */
final readonly class PackInspection
{
    /** @param  array<string, float>  $weakest  by measure */
    public function __construct(public float $usage, public array $weakest) {}
}
