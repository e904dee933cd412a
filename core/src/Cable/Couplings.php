<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** The reading ratios of one run, one a reading point, shared by all its adjusters. */
final readonly class Couplings
{
    /** @param  array<string, CouplingRatio>  $byPoint  keyed by the reading point's value */
    private function __construct(private array $byPoint) {}

    /** @param  array<string, CouplingRatio>  $byPoint */
    public static function of(array $byPoint): self
    {
        return new self($byPoint);
    }

    public function at(ReadingPoint $point): ?CouplingRatio
    {
        return $this->byPoint[$point->value] ?? null;
    }

    /** @return array<string, CouplingRatio> */
    public function all(): array
    {
        return $this->byPoint;
    }
}
