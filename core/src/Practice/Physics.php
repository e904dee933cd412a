<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** What a hidden machine does beside what the bench assumes of it, and who reads it. Lengths in mm. */
final readonly class Physics
{
    public function __construct(
        public Reader $reader = new Reader,
        /** How many times further than its drawing says the reading point truly moves. */
        public float $ratioFactor = 1.0,
        /**
         * Angle of the wire's anchor off square at rest, in radians: a lever moves on an arc, not along a line; 0 is a
         * line.
         */
        public float $arc = 0.0,
        /** By how much a reading depends on the side it was come from. */
        public float $stiction = 0.0,
        /** Flats of the thread that are lost whenever the turning is reversed. */
        public float $lostFlats = 0.0,
        /** Flats by which tightening the lock turns the adjuster, and how that varies. */
        public float $creepFlats = 0.0,
        public float $creepVaries = 0.0,
    ) {}
}
