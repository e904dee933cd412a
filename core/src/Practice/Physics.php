<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** What a hidden machine and the hand that reads it do beside what the bench assumes of them. Lengths in mm. */
final readonly class Physics
{
    public function __construct(
        /** How many times further than its drawing says the reading point truly moves. */
        public float $ratioFactor = 1.0,
        /** Angle of the wire's anchor off square at rest, in radians: a lever moves on an arc, not along a line; 0 is a line. */
        public float $arc = 0.0,
        /** By how much a reading depends on the side it was come from. */
        public float $stiction = 0.0,
        /** Flats of the thread that are lost whenever the turning is reversed. */
        public float $lostFlats = 0.0,
        /** Flats by which tightening the lock turns the adjuster, and how that varies. */
        public float $creepFlats = 0.0,
        public float $creepVaries = 0.0,
        /** Standard deviation of one reading by hand. */
        public float $noise = 0.3,
        /** The marks that a reading is rounded to. */
        public float $resolution = 0.05,
        /** Whether the hand's slips are wide ones now and then: Student's t with three degrees of freedom in place of a normal. */
        public bool $heavyTails = false,
        /** Share of the readings that are misread, by several marks or by a digit. */
        public float $misread = 0.0,
        public string $instrument = 'caliper',
    ) {}

    /** @param  array<string, float>  $changed  by what of it is another */
    public function but(array $changed, bool $heavyTails = false): self
    {
        return new self(
            $changed['ratioFactor'] ?? $this->ratioFactor,
            $changed['arc'] ?? $this->arc,
            $changed['stiction'] ?? $this->stiction,
            $changed['lostFlats'] ?? $this->lostFlats,
            $changed['creepFlats'] ?? $this->creepFlats,
            $changed['creepVaries'] ?? $this->creepVaries,
            $this->noise,
            $this->resolution,
            $heavyTails,
            $changed['misread'] ?? $this->misread,
            $this->instrument,
        );
    }
}
