<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

/** What a control and the hand that reads it do beside what its drawing says. */
final readonly class Mechanics
{
    /** @param  array<string, float>  $poses  mm of slack that a pose gives, by pose */
    public function __construct(
        /** How many times further than its drawing says the reading point truly moves. */
        public float $ratioFactor,
        public array $poses,
        /** Standard deviation of one reading by hand, in mm. */
        public float $noise,
        /** Which way an arm goes with an outward step, where nobody knows: 1 or −1. */
        public int $sense,
        /** By how much tightening a lock turns its adjuster, in smallest steps. */
        public float $creep,
        /** Share of the readings that are misread by ten marks. */
        public float $misread,
        /** What a thread gives up before it takes hold the other way, in its smallest steps. */
        public float $lost = 0.0,
        /** mm of conduit by which a wire stays behind, on the side it was turned from. */
        public float $stiction = 0.0,
        /**
         * Degrees by which its lever stands off square to the wire at rest; ahead of it above zero, so that each mm of
         * wire moves it further.
         */
        public float $offSquare = 0.0,
        /** mm of conduit that a new cable still gives while it beds in: half of what is left with every full pull. */
        public float $beds = 0.0,
    ) {}
}
