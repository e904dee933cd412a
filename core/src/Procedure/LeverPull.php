<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

use VividPull\Core\Errors\OutOfRange;

/**
 * Pull and drag of a whole run, from the force while a lever is pulled and while it goes back at the same travel.
 *
 * Friction in a bent conduit takes its share of the tension (capstan equation): without it the force would be T =
 * √(pull · release); the share that arrives is η = √(release / pull), and the friction of all bends together is μθ =
 * −ln η. With 50 and 30 N: 38.73 N, 0.7746, 0.2554.
 */
final readonly class LeverPull
{
    /** A new cable's share less this much: the drag is in the run (ours). */
    private const DRAG = 0.08;

    private function __construct(public float $pull, public float $release) {}

    /** @throws OutOfRange If a force is not above zero, or it takes more to let it back than to pull it. */
    public static function of(float $pull, float $release): self
    {
        if (! ($release > 0.0)) {
            throw OutOfRange::positive('The force as it is let back, in N,', $release);
        }

        return $pull >= $release ? new self($pull, $release) : throw OutOfRange::pull($pull, $release);
    }

    /**
     * A force at one point of a lever as it would be at another: the moments about the pivot are the same.
     *
     * @throws OutOfRange If a distance is not above zero.
     */
    public static function converted(float $force, float $fromMm, float $toMm): float
    {
        foreach ([$fromMm, $toMm] as $distance) {
            if (! ($distance > 0.0)) {
                throw OutOfRange::positive('A distance from the pivot, in mm,', $distance);
            }
        }

        return $force * $fromMm / $toMm;
    }

    /** What it would take without friction, in N. */
    public function tension(): float
    {
        return sqrt($this->pull * $this->release);
    }

    public function efficiency(): float
    {
        return sqrt($this->release / $this->pull);
    }

    /** Whether a run that lets this share through is drier than this one, which is of a new cable. */
    public function isDrier(float $efficiency): bool
    {
        return $efficiency < $this->efficiency() - self::DRAG;
    }

    public function friction(): float
    {
        return -log($this->efficiency());
    }
}
