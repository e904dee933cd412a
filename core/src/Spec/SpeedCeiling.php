<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Figure;

/** The speed a governed machine may not pass, in km/h, on tyres of the size its book was written for. */
final readonly class SpeedCeiling implements Limit
{
    private function __construct(public float $atMostKmh, public float $tyreMm, public ?float $usualKmh) {}

    /**
     * @param  float  $tyreMm  outer diameter of the tyres it was approved with, in mm
     * @param  float|null  $usualKmh  what a healthy one reaches, where the book says
     *
     * @throws OutOfRange If a figure is not above zero.
     */
    public static function of(float $atMostKmh, float $tyreMm, ?float $usualKmh): self
    {
        foreach ([
            'A governed speed, in km/h,' => $atMostKmh,
            'A tyre diameter, in mm,' => $tyreMm,
            'A usual speed, in km/h,' => $usualKmh ?? 1.0,
        ] as $what => $value) {
            if (! ($value > 0.0)) {
                throw OutOfRange::positive($what, $value);
            }
        }

        return new self($atMostKmh, $tyreMm, $usualKmh);
    }

    public function measure(): MeasureKey
    {
        return MeasureKey::GroundSpeed;
    }

    public function band(): SpecBand
    {
        return SpecBand::between(null, $this->atMostKmh);
    }

    public function say(): string
    {
        return 'governed to '.Figure::speed($this->atMostKmh).' on '.Figure::length($this->tyreMm, 0).' tyres';
    }
}
