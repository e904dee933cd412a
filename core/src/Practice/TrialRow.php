<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** One kind of machine to be tried: its band, how its geometry is known, and how far out it is found. */
final readonly class TrialRow
{
    public function __construct(
        public string $name,
        /** The spec, as in a job file. */
        public string $family,
        public string $point,
        public float $low,
        public float $high,
        /** Ratio of the drawing, and how it is known; the truth is spread about it by just that much. */
        public float $ratio,
        public string $knowledge,
        public float $spread,
        public float $pitch,
        public TrialStart $start = TrialStart::Outside,
    ) {}

    /** @return list<self> */
    public static function all(): array
    {
        $bands = [
            ['clutch_lever', 'lever_tip', 10.0, 20.0, 132 / 38, 1.25, '10 to 20 mm at the tip'],
            ['twist_grip', 'grip_flange', 2.0, 6.0, 21 / 15, 0.75, '2 to 6 mm at the flange'],
            ['clutch_lever', 'lever_tip', 3.0, 5.0, 132 / 38, 1.25, '3 to 5 mm at the lever'],
            ['clutch_lever', 'perch_gap', 1.0, 3.0, 31 / 38, 1.25, '1 to 3 mm at the gap'],
        ];
        $rows = [];
        foreach (['default' => 0.50, 'drawn' => 0.30, 'measured' => 0.10] as $knowledge => $spread) {
            foreach ($bands as [$family, $point, $low, $high, $ratio, $pitch, $name]) {
                $rows[] = new self($name, $family, $point, $low, $high, $ratio, $knowledge, $spread, $pitch);
            }
        }
        foreach ([['default', 0.50, TrialStart::Taut], ['drawn', 0.30, TrialStart::Taut], ['drawn', 0.30, TrialStart::MisDrawn]] as [$knowledge, $spread, $start]) {
            foreach ($bands as [$family, $point, $low, $high, $ratio, $pitch, $name]) {
                $rows[] = new self($name, $family, $point, $low, $high, $ratio, $knowledge, $spread, $pitch, $start);
            }
        }

        return $rows;
    }
}
