<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** Where chance comes from; the core has none of its own. */
interface Chance
{
    /** Evenly from least up to most. */
    public function between(float $least, float $most): float;

    /** Standard normal. */
    public function normal(): float;
}
