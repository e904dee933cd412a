<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** One kind of machine to be tried: its band, how its geometry is known, how far out it is found, and what its hardware does. */
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
        public Physics $physics = new Physics,
    ) {}

    /** @return list<self> machines as the bench assumes them to be */
    public static function all(): array
    {
        $rows = [];
        foreach (['default' => 0.50, 'drawn' => 0.30, 'measured' => 0.10] as $knowledge => $spread) {
            foreach (array_slice(self::bands(), 0, 4) as [$family, $point, $low, $high, $ratio, $pitch, $name]) {
                $rows[] = new self($name, $family, $point, $low, $high, $ratio, $knowledge, $spread, $pitch);
            }
        }
        foreach ([['default', 0.50, TrialStart::Taut], ['drawn', 0.30, TrialStart::Taut], ['drawn', 0.30, TrialStart::MisDrawn]] as [$knowledge, $spread, $start]) {
            foreach (array_slice(self::bands(), 0, 4) as [$family, $point, $low, $high, $ratio, $pitch, $name]) {
                $rows[] = new self($name, $family, $point, $low, $high, $ratio, $knowledge, $spread, $pitch, $start);
            }
        }

        return $rows;
    }

    /** @return list<self> machines and hands that do more than the bench assumes */
    public static function rough(): array
    {
        $caliper = new Physics(noise: 0.12, resolution: 0.02);
        $rule = new Physics(noise: 0.3, resolution: 0.5, instrument: 'steel_rule');
        $kinds = [];
        foreach ([0.5, 0.7, 1.4, 2.0] as $factor) {
            $kinds["ratio × {$factor}"] = [$caliper->but(['ratioFactor' => $factor]), 'measured'];
            $kinds["ratio × {$factor}, rule"] = [$rule->but(['ratioFactor' => $factor]), 'drawn'];
        }
        $kinds += [
            'arc' => [$caliper->but(['arc' => -0.4]), 'drawn'],
            'stiction' => [$caliper->but(['stiction' => 0.3]), 'drawn'],
            'stiction, rule' => [$rule->but(['stiction' => 0.4]), 'drawn'],
            'lost motion of 1 flat' => [$caliper->but(['lostFlats' => 1.0]), 'drawn'],
            'lost motion of 3 flats' => [$caliper->but(['lostFlats' => 3.0]), 'measured'],
            'lost motion of 3 flats, rule' => [$rule->but(['lostFlats' => 3.0]), 'drawn'],
            'lock creeps half a flat' => [$caliper->but(['creepFlats' => 0.5, 'creepVaries' => 0.15]), 'drawn'],
            'marks of 0.5 mm, a steady hand' => [new Physics(noise: 0.08, resolution: 0.5, instrument: 'steel_rule'), 'drawn'],
            'marks of 1 mm' => [new Physics(noise: 0.3, resolution: 1.0, instrument: 'steel_rule'), 'drawn'],
            'heavy tails' => [$caliper->but([], true), 'drawn'],
            'heavy tails, rule' => [$rule->but([], true), 'drawn'],
            'misread 2 %' => [$caliper->but(['misread' => 0.02]), 'drawn'],
            'misread 2 %, rule' => [$rule->but(['misread' => 0.02]), 'drawn'],
            'all of it' => [$rule->but(['ratioFactor' => 1.3, 'arc' => -0.4, 'stiction' => 0.2, 'lostFlats' => 1.0, 'creepFlats' => 0.3, 'creepVaries' => 0.1, 'misread' => 0.02], true), 'drawn'],
        ];
        $rows = [];
        foreach ($kinds as $kind => [$physics, $knowledge]) {
            foreach (self::bands() as [$family, $point, $low, $high, $ratio, $pitch, $name]) {
                $rows[] = new self("{$name}: {$kind}", $family, $point, $low, $high, $ratio, $knowledge, 0.0, $pitch, TrialStart::Outside, $physics);
            }
        }
        foreach (self::bands() as [$family, $point, $low, $high, $ratio, $pitch, $name]) {
            $rows[] = new self("{$name}: taut, ratio × 1.5", $family, $point, $low, $high, $ratio, 'drawn', 0.0, $pitch, TrialStart::Taut, $rule->but(['ratioFactor' => 1.5]));
        }

        return $rows;
    }

    /** Whether its band is narrower than four marks of the instrument. */
    public function isNarrow(): bool
    {
        return $this->high - $this->low < 4 * $this->physics->resolution;
    }

    /** @return list<array{string, string, float, float, float, float, string}> */
    private static function bands(): array
    {
        return [
            ['clutch_lever', 'lever_tip', 10.0, 20.0, 132 / 38, 1.25, '10 to 20 mm at the tip'],
            ['twist_grip', 'grip_flange', 2.0, 6.0, 21 / 15, 0.75, '2 to 6 mm at the flange'],
            ['clutch_lever', 'lever_tip', 3.0, 5.0, 132 / 38, 1.25, '3 to 5 mm at the lever'],
            ['clutch_lever', 'perch_gap', 1.0, 3.0, 31 / 38, 1.25, '1 to 3 mm at the gap'],
            ['clutch_lever', 'perch_gap', 2.0, 3.0, 31 / 38, 1.25, '2 to 3 mm at the gap'],
        ];
    }
}
