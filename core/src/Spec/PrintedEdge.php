<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Quantity\ReadQuantity;
use VividPull\Core\Quantity\Unit;

/**
 * One edge of a band in print: the words it was read from, its size, and the smallest difference that these words can
 * show, both in mm.
 */
final readonly class PrintedEdge
{
    /** What a sum of two sizes is rounded to, in decimals of a mm, so that 2.1 less 0.3 is 1.8. */
    private const DECIMALS = 9;

    private function __construct(public string $said, public float $mm, public float $step, public ?Unit $unit) {}

    public static function of(ReadQuantity $read): self
    {
        return new self($read->entered, $read->value, $read->writtenStep, $read->unit);
    }

    /**
     * @param  float  $middle  mm
     * @param  float  $either  mm, to each side
     * @param  float  $step  mm
     * @return array{self, self} the two ends of a size and what it may differ
     */
    public static function around(string $said, float $middle, float $either, float $step, ?Unit $unit = null): array
    {
        return [
            new self($said, round($middle - $either, self::DECIMALS), $step, $unit),
            new self($said, round($middle + $either, self::DECIMALS), $step, $unit),
        ];
    }
}
