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
        /** Whether its distances were measured on this machine, and are not those of its model. */
        public bool $isOfMachine = false,
        /** Whether they were so in this job. */
        public bool $isMeasuredHere = false,
    ) {}

    /**
     * @param  float  $wireMm  pivot to wire anchor of a lever, or radius of a grip's drum
     * @param  array<string, float>  $pointMm
     */
    public static function of(
        HandKind $kind,
        string $name,
        float $wireMm,
        array $pointMm,
        Knowledge $knowledge,
        bool $isOfMachine = false,
    ): self {
        return new self($kind, $name, $wireMm, $pointMm, $knowledge, $isOfMachine);
    }

    /** @param  array<string, float>  $pointMm  by reading point, in mm */
    public function measuredAs(float $wireMm, array $pointMm): self
    {
        return new self($this->kind, $this->name, $wireMm, $pointMm + $this->pointMm, Knowledge::Measured, true, true);
    }

    /** Another one took its place on this machine: how far it was measured to move says no more than a drawing does. */
    public function replaced(): self
    {
        return new self($this->kind, $this->name, $this->wireMm, $this->pointMm, Knowledge::Drawn);
    }

    /** Whether how far this point moves was measured in this job. */
    public function isMeasuredAt(ReadingPoint $point): bool
    {
        $read = $point === ReadingPoint::GripBackward ? ReadingPoint::GripFlange : $point;

        return $this->isMeasuredHere && in_array($read, $this->measurable($point), true);
    }

    /**
     * The reading points whose distances tell how far they move for a millimetre of wire, those of the spec's figure
     * and of the drawing; none where play is read at the cable itself.
     *
     * @param  ReadingPoint  $read  where the spec's figure is read
     * @return list<ReadingPoint>
     */
    public function measurable(ReadingPoint $read): array
    {
        $read = $read === ReadingPoint::GripBackward ? ReadingPoint::GripFlange : $read;
        $points = [$read->value, ...array_keys($this->pointMm)];

        return array_values(array_filter(
            array_map(ReadingPoint::from(...), array_values(array_unique($points))),
            fn (ReadingPoint $one): bool => match ($one) {
                ReadingPoint::GripFlange => $this->kind === HandKind::Grip,
                ReadingPoint::LeverTip, ReadingPoint::PerchGap,
                ReadingPoint::HandleTravel => $this->kind !== HandKind::Grip,
                ReadingPoint::FerruleGap, ReadingPoint::ReleaseArm, ReadingPoint::GripBackward,
                ReadingPoint::CarburettorBarrel => false,
            },
        ));
    }

    public function howToMeasure(): string
    {
        return $this->kind === HandKind::Grip
            ? 'From the middle of the bar: to the middle of the wire in its groove, and to the rim at which play is read.'
            : 'From the middle of the pivot, along the '.lcfirst($this->name)
                .': to the middle of the wire\'s end, and to where play is read.';
    }

    /** Its distance to the wire, as it is called. */
    public function toWire(): string
    {
        return $this->kind === HandKind::Grip ? 'Drum radius' : 'Pivot to wire';
    }

    /** Its distance to a reading point, as it is called. */
    public function toPoint(ReadingPoint $point): string
    {
        return $this->kind === HandKind::Grip ? 'Flange radius' : "Pivot to {$point->named('reading point')}";
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
