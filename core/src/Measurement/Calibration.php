<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

/**
 * What a calibration certificate says: expanded uncertainty in mm (of a force gauge in N), its coverage factor, and the
 * day it falls due.
 */
final readonly class Calibration
{
    private function __construct(public float $expanded, public float $factor, public ?string $due) {}

    public static function of(float $expanded, float $factor, ?string $due): self
    {
        return new self($expanded, $factor, $due);
    }

    /** @param  string  $day  `2026-03-02` */
    public function isOverdueOn(string $day): bool
    {
        return $this->due !== null && $this->due < $day;
    }

    public function standard(): float
    {
        return $this->expanded / $this->factor;
    }
}
