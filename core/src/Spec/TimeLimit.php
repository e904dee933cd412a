<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Figure;

/** A time that must not be passed: how soon a blade stands still once its bail is let go. */
final readonly class TimeLimit implements Limit
{
    private function __construct(public float $atMostS) {}

    /** @throws OutOfRange If the time is not above zero. */
    public static function seconds(float $atMostS): self
    {
        return $atMostS > 0.0 ? new self($atMostS) : throw OutOfRange::positive('A time limit, in s,', $atMostS);
    }

    public function measure(): MeasureKey
    {
        return MeasureKey::BladeStop;
    }

    public function band(): SpecBand
    {
        return SpecBand::between(null, $this->atMostS);
    }

    public function say(): string
    {
        return 'the blade stands within '.Figure::seconds($this->atMostS);
    }
}
