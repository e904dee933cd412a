<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** What the person pulls: its name, its make-up, and the distances the reading ratios come from, in mm. */
final readonly class HandControl
{
    /** @param  array<string, float>  $pointMm  distance of each reading point from the pivot, or flange radius */
    private function __construct(
        public HandKind $kind,
        public string $name,
        public float $wireMm,
        public array $pointMm,
        public Knowledge $knowledge,
    ) {}

    /**
     * @param  float  $wireMm  pivot to wire anchor of a lever, or radius of a grip's drum
     * @param  array<string, float>  $pointMm
     */
    public static function of(HandKind $kind, string $name, float $wireMm, array $pointMm, Knowledge $knowledge): self
    {
        return new self($kind, $name, $wireMm, $pointMm, $knowledge);
    }

    /** The ratios this geometry gives. */
    public function couplings(): Couplings
    {
        $ratios = [ReadingPoint::FerruleGap->value => CouplingRatio::of(1.0, Knowledge::Measured)];
        foreach ($this->pointMm as $point => $distance) {
            $ratios[$point] = CouplingRatio::ofDistances($distance, $this->wireMm, $this->knowledge);
        }

        return Couplings::of($ratios);
    }
}
