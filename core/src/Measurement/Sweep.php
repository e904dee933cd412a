<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Spec\SpecBand;

/**
 * How play changes as the bars turn, and the band that the straight pose must keep so that every pose stays inside:
 * [low − min d, high − max d], straight's own 0 included, tightened by the standard uncertainty of each d.
 */
final readonly class Sweep
{
    /** What a pose that was not read yet is allowed to differ by, in mm; our own figure. */
    public const ALLOWANCE = 0.5;

    /** @param  array<string, array{d: float, u: float, read: bool}>  $poses  pose minus straight, in mm, by pose */
    private function __construct(public array $poses) {}

    /** @param  array<string, array{d: float, u: float}|null>  $offsets  by pose; null where it was not read */
    public static function of(array $offsets): self
    {
        return new self(array_map(static fn (?array $o): array => $o === null
            ? ['d' => 0.0, 'u' => self::ALLOWANCE, 'read' => false]
            : ['d' => $o['d'], 'u' => $o['u'], 'read' => true], $offsets));
    }

    /** The straight band with the poses that were read. Null when they spread wider than the band is. */
    public function measuredBand(SpecBand $band): ?SpecBand
    {
        return self::working($band, array_filter($this->poses, static fn (array $pose): bool => $pose['read']));
    }

    /** The straight band with an allowance for each pose not read yet. Null when they spread wider than the band is. */
    public function plannedBand(SpecBand $band): ?SpecBand
    {
        return self::working($band, $this->poses);
    }

    /** @param  array<string, array{d: float, u: float, read: bool}>  $poses */
    private static function working(SpecBand $band, array $poses): ?SpecBand
    {
        $least = 0.0;
        $most = 0.0;
        foreach ($poses as $pose) {
            $least = min($least, $pose['d'] - $pose['u']);
            $most = max($most, $pose['d'] + $pose['u']);
        }
        if ($poses === []) {
            return $band;
        }
        try {
            return SpecBand::between($band->floor() - $least, $band->high === null ? null : $band->high - $most);
        } catch (OutOfRange) {
            return null;
        }
    }
}
