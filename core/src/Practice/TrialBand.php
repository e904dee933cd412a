<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** What machines of a kind are set to, and the geometry of their drawing. */
final readonly class TrialBand
{
    public function __construct(
        public string $name,
        /** The spec, as in a job file: family and reading point, the band in mm. */
        public string $family,
        public string $point,
        public float $low,
        public float $high,
        /** Ratio of the drawing. */
        public float $ratio,
        /** Of the barrel's thread, in mm. */
        public float $pitch,
    ) {}

    /** @return list<self> the usual ones first, the narrow one last */
    public static function all(): array
    {
        return [
            new self('10 to 20 mm at the tip', 'clutch_lever', 'lever_tip', 10.0, 20.0, 132 / 38, 1.25),
            new self('2 to 6 mm at the flange', 'twist_grip', 'grip_flange', 2.0, 6.0, 21 / 15, 0.75),
            new self('3 to 5 mm at the lever', 'clutch_lever', 'lever_tip', 3.0, 5.0, 132 / 38, 1.25),
            new self('1 to 3 mm at the gap', 'clutch_lever', 'perch_gap', 1.0, 3.0, 31 / 38, 1.25),
            new self('2 to 3 mm at the gap', 'clutch_lever', 'perch_gap', 2.0, 3.0, 31 / 38, 1.25),
        ];
    }

    /** @return list<self> */
    public static function usual(): array
    {
        return array_slice(self::all(), 0, 4);
    }
}
