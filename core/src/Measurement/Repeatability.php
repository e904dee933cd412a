<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

/** Pooled standard deviation, in mm, of single readings by a person with an instrument, and its degrees of freedom. */
final readonly class Repeatability
{
    /** Degrees of freedom granted to the usual deviation of a kind; our own figure. */
    public const USUAL_FREEDOM = 5.0;

    private function __construct(public float $deviation, public float $freedom) {}

    public static function pooled(float $deviation, float $freedom): self
    {
        return new self($deviation, $freedom);
    }

    /** Pooled with one more sample: variances weighted by their degrees of freedom (JCGM 100:2008, 4.2.4). */
    public function with(float $deviation, float $freedom): self
    {
        $total = $this->freedom + $freedom;

        return new self(sqrt(($this->freedom * $this->deviation ** 2 + $freedom * $deviation ** 2) / $total), $total);
    }

    public static function usualFor(InstrumentKind $kind): self
    {
        return new self($kind->usualDeviation(), self::USUAL_FREEDOM);
    }
}
