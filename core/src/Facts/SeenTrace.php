<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\TraceTaken;

/** A pull that was kept as a curve, and at which setting of the control. */
final readonly class SeenTrace
{
    public function __construct(public TraceTaken $entry, public int $setting) {}
}
