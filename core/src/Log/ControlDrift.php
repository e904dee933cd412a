<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Cable\Part;

/** How this control's play moves by itself between one visit and the next, in mm of conduit; above zero it grows. */
final readonly class ControlDrift
{
    public function __construct(public float $conduitMm, public int $intervals) {}

    /**
     * The mean over the intervals between visits: what was found less what the visit before had left. A visit that
     * fitted a part which wears anew forgets the intervals before it.
     *
     * @param  list<array{found: float|null, left: float|null, parts?: list<Part>}>  $visits  play in mm at one point,
     *     oldest first
     * @param  float  $ratio  R at that point, above zero
     */
    public static function over(array $visits, float $ratio): ?self
    {
        $changes = [];
        foreach (array_slice($visits, 1) as $n => $visit) {
            $changes = self::startsOver($visits[$n]['parts'] ?? []) ? [] : $changes;
            $before = $visits[$n]['left'];
            if ($visit['found'] !== null && $before !== null) {
                $changes[] = ($visit['found'] - $before) / $ratio;
            }
        }

        return $changes === [] ? null : new self(array_sum($changes) / count($changes), count($changes));
    }

    /** @param  list<Part>  $parts */
    private static function startsOver(array $parts): bool
    {
        return array_filter($parts, static fn (Part $part): bool => $part->startsDriftOver()) !== [];
    }
}
