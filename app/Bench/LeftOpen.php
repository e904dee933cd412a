<?php

declare(strict_types=1);

namespace App\Bench;

use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\LeftBefore;

/** What the last signature on a control left outside its band by choice, or faulty: the next job and every later screen say so. */
final readonly class LeftOpen
{
    /** @param  array<string, mixed>|null  $summary  of the control */
    public static function in(?array $summary): ?LeftBefore
    {
        $byChoice = ($summary['outcome'] ?? null) === ClosingOutcome::ByChoice->value ? $summary['record']['by_choice'] ?? null : null;
        $faults = $summary['record']['left_faults'] ?? [];

        return $summary === null || ($byChoice === null && $faults === []) ? null : new LeftBefore($byChoice, $faults, $summary['at'], $summary['by']);
    }
}
