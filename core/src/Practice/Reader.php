<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** Who reads a hidden machine, and with what. Lengths in mm. */
final readonly class Reader
{
    public function __construct(
        public string $instrument = 'caliper',
        /** Standard deviation of one reading by hand. */
        public float $noise = 0.3,
        /** The marks that a reading is rounded to. */
        public float $resolution = 0.05,
        /**
         * Whether the hand's slips are wide ones now and then: Student's t with three degrees of freedom in place of a
         * normal.
         */
        public bool $heavyTails = false,
        /** Share of the readings that are misread, by several marks or by a digit. */
        public float $misread = 0.0,
    ) {}

    public function slipping(): self
    {
        return new self($this->instrument, $this->noise, $this->resolution, true, $this->misread);
    }

    public function misreading(float $share): self
    {
        return new self($this->instrument, $this->noise, $this->resolution, $this->heavyTails, $share);
    }
}
