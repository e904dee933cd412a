<?php

declare(strict_types=1);

namespace App\Gauges\Simulated;

/** A wire that a simulated gauge hangs on. */
interface Speaks
{
    public function plug(): void;

    public function unplug(): void;

    /** What one press sends. */
    public function send(string $bytes): void;
}
