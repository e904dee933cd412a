<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

use Closure;

/**
 * What goes wrong on a family of controls, and what its mechanics then do and show. Common practice, no source; the
 * figures are ours.
 */
interface FaultyFamily
{
    /**
     * @return array<string, Closure(WornControl): void> by the name that a mechanic gives it; shared faults of any
     *     cable beside
     */
    public function faults(): array;

    /** @return array<string, bool> by symptom, beside those of any cable */
    public function notices(WornControl $is): array;

    /** @return array<string, string|null> by look, beside those of any cable; null is as it should be */
    public function looks(WornControl $is): array;
}
