<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

use VividPull\Core\Cable\AdjusterKind;
use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\StarterSpec;
use VividPull\Core\Input\Node;
use VividPull\Core\Practice\Chance;
use VividPull\Core\Spec\Aim;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Spec\OutcomeTable;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Wire\AimCodec;
use VividPull\Core\Wire\RunCodec;
use VividPull\Core\Wire\SpecCodec;

/**
 * A control of a family as chance has it: its spec and run, as a book would have them, and how it truly is found.
 * Invented, within what domain practice has.
 */
final readonly class DrawnJob
{
    private const CALIPER = ['id' => 'caliper', 'kind' => 'caliper', 'resolution_mm' => 0.05];

    private const RULE = ['id' => 'rule', 'kind' => 'steel_rule', 'resolution_mm' => 0.5];

    /**
     * Bands as they are usual: the point, least and most, and the ratio about which the run is drawn. Common practice,
     * no source.
     */
    private const PLAYS = [
        'clutch_lever' => ['lever_tip', 10.0, 20.0, 3.5], 'twist_grip' => ['grip_flange', 2.0, 6.0, 1.4],
        'trigger_throttle' => ['handle_travel', 0.5, 2.5, 1.5],
        'pedal_throttle' => ['handle_travel', 5.0, 15.0, 3.0], 'engage_by_pull' => ['handle_travel', 8.0, 25.0, 4.0],
        'release_by_pull' => ['handle_travel', 8.0, 25.0, 4.0],
        'brake_pull' => ['handle_travel', 5.0, 15.0, 3.0], 'other_control' => ['handle_travel', 5.0, 15.0, 3.0],
    ];

    private const NONE = ['lever_tip', 0.0, 0.0, 1.0];

    /** Of a pair: what its play is called in a spec, least and most, and what it does. */
    private const SECOND = [
        'twist_grip' => ['backward', 1.0, 5.0, 'closing'],
        'pedal_throttle' => ['secondary', 0.5, 2.5, 'following'],
    ];

    /** What can be wrong with each beside its setting. */
    private const FAULTS = [
        'clutch_lever' => [Fault::FrayedWire, Fault::WrongSpline], 'automatic_clutch' => [Fault::WeakSpring],
        'hydraulic_clutch' => [Fault::Air],
        'twist_grip' => [Fault::Dry, Fault::WeakSpring, Fault::OffGroove, Fault::FrayedWire, Fault::Route],
        'trigger_throttle' => [Fault::Dry, Fault::WeakSpring, Fault::OffSeat],
        'pedal_throttle' => [Fault::Dry, Fault::WeakSpring], 'sliding_drive' => [Fault::WeakSpring, Fault::Belt],
        'engage_by_pull' => [Fault::WeakSpring, Fault::Belt],
        'release_by_pull' => [Fault::WeakSpring, Fault::Belt], 'bail' => [Fault::Mount, Fault::WeakSpring],
        'speed_selector' => [], 'mode_cables' => [],
        'hook_control' => [Fault::WeakSpring], 'brake_pull' => [Fault::WeakSpring, Fault::Dry],
        'other_control' => [Fault::WeakSpring, Fault::Dry],
    ];

    /**
     * @param  array{id: string, kind: string, resolution_mm: float}  $instrument
     * @param  array<string, mixed>  $wire  the run as it goes over the wire
     */
    private function __construct(
        public Spec $spec,
        public Run $run,
        public TrueControl $control,
        public AsFound $found,
        public Mechanics $mechanics,
        public array $instrument,
        public array $wire,
    ) {}

    /** @return list<Fault> what can be wrong with a control of this family beside its setting */
    public static function faultsOf(FamilyKey $family): array
    {
        return self::FAULTS[$family->value];
    }

    /**
     * @param  float  $faulty  the share of them that has something wrong beside the setting
     * @param  bool  $isRough  whether its drawing is off by two fifths and more, and it is read with a rule by a hand
     *     that repeats to half a mark and misreads one in fifty, its adjusters stand anywhere on their way, and its
     *     locks turn them
     */
    public static function of(FamilyKey $family, Chance $chance, float $faulty = 0.3, bool $isRough = false): self
    {
        $second = $chance->between(0.0, 1.0) < 0.5 ? self::SECOND[$family->value] ?? null : null;
        [$spec, $wire] = self::frame($family, $second !== null);
        $run = RunCodec::decode(Node::of($wire));
        $table = $spec->other(OutcomeTable::class);
        $at = self::standing($run, $chance, $isRough);
        $faults = self::FAULTS[$family->value];
        [, $low, $high, $ratio] = self::PLAYS[$family->value] ?? self::NONE;
        $width = $high - $low;
        $found = new AsFound(
            $chance->between(-0.4 * $width, $high + 1.5 * $width),
            $second === null ? null : $chance->between(-0.4, 1.4) * $second[2],
            self::offset($table, $chance),
            $at,
            $faults !== [] && $chance->between(0.0, 1.0) < $faulty
                ? [$faults[(int) $chance->between(0.0, count($faults))]]
                : [],
        );
        // A wrong route is one that the bars show.
        $turns = $chance->between(-0.08, 0.08) * $width / $ratio;
        $turns += in_array(Fault::Route, $found->faults, true) ? 0.12 * $width / $ratio * ($turns <=> 0.0) : 0.0;
        $poses = count($spec->conditions->poses) === 1 ? [] : ['left' => $turns, 'right' => -0.5 * $turns];
        $sense = $chance->between(0.0, 1.0) < 0.5 ? 1 : -1;
        $off = exp(($isRough ? 0.35 : 0.1) * $chance->normal());
        $mechanics = $isRough
            ? new Mechanics($off, $poses, 0.25, $sense, 0.4, 0.02)
            : new Mechanics($off, $poses, 0.15, $sense, 0.0, 0.0);

        return new self(
            $spec,
            $run,
            new TrueControl($spec, $run, $found, $mechanics, $chance),
            $found,
            $mechanics,
            $isRough ? self::RULE : self::CALIPER,
            $wire,
        );
    }

    /**
     * The spec and the run of a control of the family as its book would have them.
     *
     * @param  bool  $isPair  whether it has its second cable, where the family knows one
     * @return array{Spec, array<string, mixed>} the run as it goes over the wire
     */
    public static function frame(FamilyKey $family, bool $isPair): array
    {
        $start = Families::of($family)->starting();
        $table = array_values(array_filter($start->aims, static fn (Aim $aim): bool => $aim instanceof OutcomeTable))[0]
            ?? null;
        $second = $isPair ? self::SECOND[$family->value] ?? null : null;

        return [self::spec($family, $start, $second), self::run($family, $start, $table, $second)];
    }

    /** @param  array{string, float, float, string}|null  $second */
    private static function spec(FamilyKey $family, StarterSpec $start, ?array $second): Spec
    {
        [$point, $low, $high] = self::PLAYS[$family->value] ?? self::NONE;

        return SpecCodec::decode(Node::of([
            'family' => $family->value, 'others' => array_map(AimCodec::encode(...), $start->aims),
            'policy' => 'middle',
            'source' => ['document' => 'Practice', 'entered_by' => 'Practice', 'checked_by' => 'Practice'],
            'conditions' => [
                'poses' => $family === FamilyKey::TwistGrip ? ['straight', 'left', 'right'] : ['straight'],
            ],
            ...(isset(self::PLAYS[$family->value])
                ? ['aim' => ['kind' => 'free_play_band', 'point' => $point, 'low_mm' => $low, 'high_mm' => $high]]
                : []),
            ...($second === null ? [] : [$second[0] => ['low_mm' => $second[1], 'high_mm' => $second[2]]]),
        ]));
    }

    /**
     * @param  array{string, float, float, string}|null  $second
     * @return array<string, mixed>
     */
    private static function run(FamilyKey $family, StarterSpec $start, ?OutcomeTable $table, ?array $second): array
    {
        [$point, , , $ratio] = self::PLAYS[$family->value] ?? self::NONE;
        $distances = match (true) {
            ! isset(self::PLAYS[$family->value]) => [],
            $point === 'grip_flange' => ['drum_radius_mm' => 15.0, 'flange_radius_mm' => 15.0 * $ratio],
            default => ['pivot_to_wire_mm' => 38.0, 'pivot_to_point_mm' => [$point => 38.0 * $ratio]],
        };
        $cables = [['id' => 'cable', 'name' => 'Cable', 'adjusters' => self::adjusters($start->adjusters, $table)]];
        if ($second !== null) {
            $cables[] = [
                'id' => 'second',
                'name' => 'Second cable',
                'pulls' => $second[3],
                'adjusters' => [[
                    'id' => 'second_nuts',
                    'name' => 'second nuts',
                    'kind' => 'bracket_nuts',
                    'thread' => 'M6',
                    'travel_mm' => 20,
                ]],
            ];
        }

        return [
            'hand' => ['kind' => $start->hand->value, 'name' => $start->handName, 'knowledge' => 'drawn'] + $distances,
            'cables' => $cables,
            'working_end' => $start->workingEnd,
        ];
    }

    /** As many whole steps off as can be set right, where steps are whole. */
    private static function offset(?OutcomeTable $table, Chance $chance): float
    {
        return match (true) {
            $table === null => 0.0,
            $table->unit === 'detent' => $chance->between(-1.4, 1.4),
            default => round($chance->between(-$table->mostAtOnce, $table->mostAtOnce)),
        };
    }

    /**
     * @param  list<AdjusterKind>  $kinds
     * @return list<array<string, mixed>>
     */
    private static function adjusters(array $kinds, ?OutcomeTable $table): array
    {
        $ids = $table === null
            ? array_map(static fn (AdjusterKind $one): string => $one->value, $kinds)
            : array_keys($table->movers);
        $made = [];
        foreach ($kinds as $place => $kind) {
            if ($kind === AdjusterKind::None) {
                continue;
            }
            $made[] = [
                'id' => $ids[$place] ?? "{$kind->value}_{$place}",
                'name' => strtr($ids[$place] ?? $kind->value, '_', ' '),
                'kind' => $kind->value,
            ]
                + match (true) {
                    $table !== null && $kind->isThreaded() => [
                        'thread' => 'M8 x 1.25',
                        'travel_mm' => 60,
                        'bevels_per_turn' => 6,
                    ],
                    $kind->isThreaded() => ['thread' => 'M8 x 1.25', 'travel_mm' => 24],
                    $kind === AdjusterKind::SlottedBracket => [
                        'mm_per_step' => 1,
                        'travel_steps' => ['from' => 0, 'to' => 60],
                        'smallest_step' => 0.5,
                    ],
                    default => ['mm_per_step' => 2.5, 'travel_steps' => ['from' => 0, 'to' => 12]],
                };
        }

        return $made;
    }

    /** @return array<string, float> about the middle of their way, or anywhere on it */
    private static function standing(Run $run, Chance $chance, bool $isRough): array
    {
        $at = [];
        foreach ($run->adjusters() as $adjuster) {
            [$from, $to] = [$adjuster->travel()->from->toFloat(), $adjuster->travel()->to->toFloat()];
            $at[$adjuster->id()] = round(
                $from + ($to - $from) * ($isRough ? $chance->between(0.05, 0.95) : $chance->between(0.35, 0.65)),
            );
        }

        return $at;
    }
}
