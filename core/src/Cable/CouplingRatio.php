<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Errors\OutOfRange;

/** R: travel at a reading point for one millimetre of conduit. Always above zero. */
final readonly class CouplingRatio
{
    private function __construct(public float $value, public Knowledge $knowledge) {}

    /** @throws OutOfRange If the ratio is not above zero. */
    public static function of(float $value, Knowledge $knowledge): self
    {
        if (! ($value > 0.0) || is_infinite($value)) {
            throw OutOfRange::positive('A reading ratio', $value);
        }

        return new self($value, $knowledge);
    }

    /**
     * From the distances of a lever, pivot to point over pivot to wire anchor, or of a grip, flange radius over drum
     * radius, in mm.
     *
     * @throws OutOfRange If either distance is not above zero.
     */
    public static function ofDistances(float $toPoint, float $toWire, Knowledge $knowledge): self
    {
        if (! ($toWire > 0.0)) {
            throw OutOfRange::positive('The distance to the wire', $toWire);
        }

        return self::of($toPoint / $toWire, $knowledge);
    }
}
