<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Quantity\Figure;

/** How much of a handle's travel there is, in mm, by the end of which the drive must be fully on. */
final readonly class EngagementWindow implements Limit
{
    private function __construct(public float $fullByMm) {}

    /** @throws OutOfRange If the travel is not above zero. */
    public static function fullBy(float $mm): self
    {
        return $mm > 0.0 ? new self($mm) : throw OutOfRange::positive('A handle\'s travel, in mm,', $mm);
    }

    public function measure(): MeasureKey
    {
        return MeasureKey::FullDrive;
    }

    public function band(): SpecBand
    {
        return SpecBand::between(null, $this->fullByMm);
    }

    public function say(): string
    {
        return 'full drive within '.Figure::shortLength($this->fullByMm, 1).' of handle travel';
    }
}
