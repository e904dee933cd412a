<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

/**
 * How much use is left until something that wears reaches its limit, from two or more inspections.
 *
 * Size against use by least squares; what is left is the distance from the last size on that line to the limit, over
 * its slope. In the machine's own unit of use.
 */
final readonly class WearLife
{
    private function __construct(public float $perUse, public float $left, public int $inspections) {}

    /**
     * Null from one inspection, or where it does not wear.
     *
     * @param  list<array{usage: float, mm: float}>  $inspections
     * @param  float  $least  the size at which it is finished, in mm
     */
    public static function of(array $inspections, float $least): ?self
    {
        $n = count($inspections);
        $usages = array_column($inspections, 'usage');
        if ($n < 2 || max($usages) <= min($usages)) {
            return null;
        }
        [$meanUse, $meanMm] = [array_sum($usages) / $n, array_sum(array_column($inspections, 'mm')) / $n];
        [$xy, $xx] = [0.0, 0.0];
        foreach ($inspections as $one) {
            $xy += ($one['usage'] - $meanUse) * ($one['mm'] - $meanMm);
            $xx += ($one['usage'] - $meanUse) ** 2;
        }
        $slope = $xy / $xx;
        $now = $meanMm + $slope * (max($usages) - $meanUse);

        return $slope < 0.0 ? new self(-$slope, max(0.0, ($now - $least) / -$slope), $n) : null;
    }
}
