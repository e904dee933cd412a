<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/**
 * One kind of machine to be tried: its band, how its geometry is known, how far out it is found, and what its hardware
 * does.
 */
final readonly class TrialRow
{
    public function __construct(
        public string $name,
        public TrialBand $band,
        /** How the ratio of the drawing is known; the truth is spread about it by just that much. */
        public string $knowledge,
        public float $spread,
        public TrialStart $start = TrialStart::Outside,
        public Physics $physics = new Physics,
    ) {}

    /** @return list<self> machines as the bench assumes them to be */
    public static function all(): array
    {
        $kinds = [
            ['default', 0.50, TrialStart::Outside], ['drawn', 0.30, TrialStart::Outside],
            ['measured', 0.10, TrialStart::Outside],
            ['default', 0.50, TrialStart::Taut], ['drawn', 0.30, TrialStart::Taut],
            ['drawn', 0.30, TrialStart::MisDrawn],
        ];
        $rows = [];
        foreach ($kinds as [$knowledge, $spread, $start]) {
            foreach (TrialBand::usual() as $band) {
                $rows[] = new self($band->name, $band, $knowledge, $spread, $start);
            }
        }

        return $rows;
    }

    /** @return list<self> machines and hands that do more than the bench assumes */
    public static function rough(): array
    {
        $rows = [];
        foreach (self::roughKinds() as $kind => [$physics, $knowledge]) {
            foreach (TrialBand::all() as $band) {
                $rows[] = new self("{$band->name}: {$kind}", $band, $knowledge, 0.0, TrialStart::Outside, $physics);
            }
        }
        $taut = new Physics(self::rule(), ratioFactor: 1.5);
        foreach (TrialBand::all() as $band) {
            $rows[] = new self("{$band->name}: taut, ratio × 1.5", $band, 'drawn', 0.0, TrialStart::Taut, $taut);
        }

        return $rows;
    }

    private static function rule(): Reader
    {
        return new Reader('steel_rule', 0.3, 0.5);
    }

    /** @return array<string, array{Physics, string}> each with what is known of its ratio */
    private static function roughKinds(): array
    {
        $caliper = new Reader('caliper', 0.12, 0.02);
        $rule = self::rule();
        $kinds = [];
        foreach ([0.5, 0.7, 1.4, 2.0] as $factor) {
            $kinds["ratio × {$factor}"] = [new Physics($caliper, ratioFactor: $factor), 'measured'];
            $kinds["ratio × {$factor}, rule"] = [new Physics($rule, ratioFactor: $factor), 'drawn'];
        }

        return $kinds + [
            'arc' => [new Physics($caliper, arc: -0.4), 'drawn'],
            'stiction' => [new Physics($caliper, stiction: 0.3), 'drawn'],
            'stiction, rule' => [new Physics($rule, stiction: 0.4), 'drawn'],
            'lost motion of 1 flat' => [new Physics($caliper, lostFlats: 1.0), 'drawn'],
            'lost motion of 3 flats' => [new Physics($caliper, lostFlats: 3.0), 'measured'],
            'lost motion of 3 flats, rule' => [new Physics($rule, lostFlats: 3.0), 'drawn'],
            'lock creeps half a flat' => [new Physics($caliper, creepFlats: 0.5, creepVaries: 0.15), 'drawn'],
            'marks of 0.5 mm, a steady hand' => [new Physics(new Reader('steel_rule', 0.08, 0.5)), 'drawn'],
            'marks of 1 mm' => [new Physics(new Reader('steel_rule', 0.3, 1.0)), 'drawn'],
            'heavy tails' => [new Physics($caliper->slipping()), 'drawn'],
            'heavy tails, rule' => [new Physics($rule->slipping()), 'drawn'],
            'misread 2 %' => [new Physics($caliper->misreading(0.02)), 'drawn'],
            'misread 2 %, rule' => [new Physics($rule->misreading(0.02)), 'drawn'],
            'all of it' => [
                new Physics(
                    $rule->slipping()->misreading(0.02),
                    ratioFactor: 1.3,
                    arc: -0.4,
                    stiction: 0.2,
                    lostFlats: 1.0,
                    creepFlats: 0.3,
                    creepVaries: 0.1,
                ),
                'drawn',
            ],
        ];
    }

    /** Whether its band is narrower than four marks of the instrument. */
    public function isNarrow(): bool
    {
        return $this->band->high - $this->band->low < 4 * $this->physics->reader->resolution;
    }
}
