<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

/** What a calibration certificate says: expanded uncertainty in mm, its coverage factor, and the day it falls due. */
final readonly class Calibration
{
    private function __construct(public float $expandedMm, public float $factor, public ?string $due) {}

    public static function of(float $expandedMm, float $factor, ?string $due): self
    {
        return new self($expandedMm, $factor, $due);
    }

    public function standard(): float
    {
        return $this->expandedMm / $this->factor;
    }
}
