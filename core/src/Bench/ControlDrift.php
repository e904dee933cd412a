<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

/** How this control's play moves by itself between one visit and the next, in mm of conduit; above zero it grows. */
final readonly class ControlDrift
{
    public function __construct(public float $conduitMm, public int $intervals) {}

    /**
     * The mean over the intervals between visits: what was found less what the visit before had left.
     *
     * @param  list<array{found: float|null, left: float|null}>  $visits  play in mm at one point, oldest first
     * @param  float  $ratio  R at that point, above zero
     */
    public static function over(array $visits, float $ratio): ?self
    {
        $changes = [];
        foreach (array_slice($visits, 1) as $n => $visit) {
            $before = $visits[$n]['left'];
            if ($visit['found'] !== null && $before !== null) {
                $changes[] = ($visit['found'] - $before) / $ratio;
            }
        }

        return $changes === [] ? null : new self(array_sum($changes) / count($changes), count($changes));
    }
}
