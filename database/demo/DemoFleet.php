<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\User;
use Carbon\CarbonImmutable;
use VividPull\Core\Wire\AimCodec;

/** The invented machines of Saltmarsh Ferry & Parks, their runs, and the specs of their invented makers. */
final readonly class DemoFleet
{
    /** Tag, plate, model, kind, year, place, usage, unit, controls. */
    public const MACHINES = [
        [
            'RT-14', 'SFP 514', 'Tolvane Ridge 300', 'trail motorcycle', 2022, 'ranger station north', 6412, 'km',
            ['clutch', 'throttle'],
        ],
        [
            'RT-11', 'SFP 511', 'Tolvane Ridge 300', 'trail motorcycle', 2022, 'ranger station north', 8930, 'km',
            ['clutch', 'throttle'],
        ],
        [
            'RT-09', 'SFP 509', 'Tolvane Ridge 300', 'trail motorcycle', 2021, 'ranger station south', 11205, 'km',
            ['clutch', 'throttle'],
        ],
        [
            'RT-20', 'SFP 520', 'Tolvane Ridge 300', 'trail motorcycle', 2025, 'ranger station south', 640, 'km',
            ['clutch', 'throttle'],
        ],
        [
            'RT-16', 'SFP 516', 'Morrigan Heath 200', 'trail motorcycle', 2020, 'lighthouse depot', 15830, 'km',
            ['clutch', 'throttle'],
        ],
        [
            'RT-02', 'SFP 502', 'Morrigan Heath 200', 'trail motorcycle', 2018, 'lighthouse depot', 22410, 'km',
            ['clutch', 'throttle'],
        ],
        ['QB-03', null, 'Hesk Strand 450', 'beach quad', 2021, 'east beach', 742, 'h', ['throttle']],
        ['QB-05', null, 'Hesk Strand 450', 'beach quad', 2021, 'east beach', 811, 'h', ['throttle']],
        ['QB-07', null, 'Hesk Strand 450', 'beach quad', 2023, 'west beach', 305, 'h', ['throttle']],
        ['QB-01', null, 'Brackwell Sandrunner 400', 'beach quad', 2019, 'west beach', 1340, 'h', ['throttle']],
        [
            'RT-22', 'SFP 522', 'Morrigan Fell 650', 'trail motorcycle', 2024, 'lighthouse depot', 2110, 'km',
            ['throttle'],
        ],
        ['QB-09', null, 'Tolvane Shoal 500', 'beach quad', 2020, 'west beach', 1015, 'h', ['clutch']],
        ['TM-06', null, 'Brackwell Reed 26', 'trimmer', 2022, 'gardens', 212, 'h', ['trigger']],
        ['MW-04', null, 'Hesk Dune 53', 'dune mower', 2021, 'gardens', 388, 'h', ['drive']],
        ['TR-02', null, 'Ondrel Furrow 11', 'bramble tractor', 2019, 'lighthouse depot', 940, 'h', ['drive']],
        ['MW-07', null, 'Brackwell Lawn 46', 'dune mower', 2023, 'gardens', 96, 'h', ['drive', 'bail']],
        ['TR-05', null, 'Brackwell Till 9', 'bramble tractor', 2016, 'lighthouse depot', 1320, 'h', ['drive']],
        ['SN-03', null, 'Morrigan Pier 80', 'pier snow thrower', 2020, 'ferry pier', 146, 'h', ['auger', 'selector']],
        [
            'UC-01', null, 'Brackwell Jetty 700', 'utility cart', 2021, 'ferry pier', 1875, 'h',
            ['pedal', 'modes', 'brake'],
        ],
        ['UC-03', null, 'Hesk Quay 400', 'utility cart', 2018, 'harbour office', 2410, 'h', ['latch']],
        [
            'RT-18', 'SFP 518', 'Brackwell Cairn 350', 'trail motorcycle', 2019, 'ranger station south', 13260, 'km',
            ['clutch'],
        ],
        ['RT-27', 'SFP 527', 'Hesk Moor 250', 'trail motorcycle', 2023, 'ranger station north', 3120, 'km', ['clutch']],
        [
            'RT-30', 'SFP 530', 'Tolvane Crest 450', 'trail motorcycle', 2025, 'ranger station north', 880, 'km',
            ['clutch'],
        ],
        ['SC-14', 'SFP 814', 'Morrigan Skiff 50', 'ferry-deck scooter', 2022, 'harbour office', 5210, 'km', ['clutch']],
        [
            'SC-08', 'SFP 808', 'Ondrel Quay 125', 'ferry-deck scooter', 2020, 'ferry pier', 9120, 'km',
            ['clutch', 'throttle'],
        ],
        [
            'SC-02', 'SFP 802', 'Ondrel Quay 125', 'ferry-deck scooter', 2019, 'ferry pier', 13075, 'km',
            ['clutch', 'throttle'],
        ],
        [
            'SC-05', 'SFP 805', 'Ondrel Quay 125', 'ferry-deck scooter', 2022, 'harbour office', 4288, 'km',
            ['clutch', 'throttle'],
        ],
        [
            'SC-11', 'SFP 811', 'Ondrel Quay 125', 'ferry-deck scooter', 2024, 'harbour office', 1510, 'km',
            ['clutch', 'throttle'],
        ],
    ];

    public const NAMES = [
        'clutch' => 'Clutch lever',
        'throttle' => 'Throttle grip',
        'trigger' => 'Throttle trigger',
        'drive' => 'Drive handle',
        'auger' => 'Auger handle',
        'bail' => 'Operator bail',
        'selector' => 'Speed selector',
        'pedal' => 'Throttle pedal',
        'modes' => 'Mode and park cables',
        'brake' => 'Parking brake',
        'latch' => 'Bed latch',
    ];

    public const MINUTES = [
        'clutch' => 12, 'throttle' => 18, 'trigger' => 10, 'drive' => 15, 'auger' => 15, 'bail' => 15, 'selector' => 25,
        'pedal' => 30, 'modes' => 40, 'brake' => 12, 'latch' => 8,
    ];

    /** Id, body, and in how many days its calibration falls due. */
    public const SHELF = [
        [
            'rule-300',
            [
                'name' => 'Steel rule',
                'kind' => 'steel_rule',
                'resolution_mm' => 0.5,
                'reach_mm' => 300,
                'calibration' => null,
            ],
            0,
        ],
        ['caliper-1', ['name' => 'Caliper', 'kind' => 'caliper', 'resolution_mm' => 0.05, 'reach_mm' => 150,
            'calibration' => ['expanded_mm' => 0.04, 'factor' => 2, 'due' => null]], 122],
        [
            'tape-pen',
            [
                'name' => 'Tape and pen',
                'kind' => 'tape_marks',
                'resolution_mm' => 0.5,
                'reach_mm' => 200,
                'calibration' => null,
            ],
            0,
        ],
        ['feeler-1', ['name' => 'Feeler gauge', 'kind' => 'feeler', 'resolution_mm' => 0.05, 'reach_mm' => 3,
            'calibration' => ['expanded_mm' => 0.01, 'factor' => 2, 'due' => null]], 17],
        ['caliper-2', ['name' => 'Pocket caliper', 'kind' => 'caliper', 'resolution_mm' => 0.1, 'reach_mm' => 100,
            'calibration' => ['expanded_mm' => 0.08, 'factor' => 2, 'due' => null]], -41],
        ['pull-500', ['name' => 'Force gauge', 'kind' => 'force_gauge', 'resolution_n' => 0.1, 'reach_n' => 500,
            'calibration' => ['expanded_n' => 0.5, 'factor' => 2, 'due' => null]], 88],
    ];

    /**
     * A version of the library as it is first written.
     *
     * @return array<string, mixed>
     */
    public static function version(string $model, string $control): array
    {
        return [
            'body' => self::spec($model, $control), 'name' => self::NAMES[$control],
            'minutes' => self::MINUTES[$control], 'run' => self::run($model, $control),
            'entered_by_id' => User::query()->where('login', 'tomas')->value('id'),
            'checked_by_id' => User::query()->where('login', 'oda')->value('id'),
            'checked_at' => CarbonImmutable::now()->subYears(2),
        ];
    }

    /** @return array<string, mixed> */
    public static function spec(string $model, string $control): array
    {
        $clutch = $control === 'clutch';
        $others = array_map(AimCodec::encode(...), DemoAims::of($model, $control));
        [$maker] = explode(' ', $model);

        return [
            'family' => self::family($model, $control),
            ...(($aim = self::aim($model, $control)) === null ? [] : ['aim' => $aim]),
            ...($others === [] ? [] : ['others' => $others]),
            'conditions' => [
                'engine' => $clutch ? (str_starts_with($model, 'Morrigan') ? 'hot' : 'cold') : null,
                'wheels' => $control === 'throttle' ? 'on_ground' : null,
                'poses' => $control === 'throttle' ? ['straight', 'left', 'right'] : ['straight'],
            ],
            ...($model === 'Morrigan Fell 650'
                ? ['backward' => ['low_mm' => 1, 'high_mm' => 5, 'set_first' => true]]
                : []),
            ...($control === 'pedal' ? ['secondary' => ['low_mm' => 0.5, 'high_mm' => 2.5]] : []),
            'policy' => $clutch ? 'loose' : 'middle',
            'rule' => 'guarded',
            ...self::book($model, $control),
            'source' => [
                'document' => "{$maker} service book", 'edition' => '2nd edition', 'page' => $clutch ? '3-11' : '4-2',
                'entered_by' => 'Tomas', 'checked_by' => 'Oda',
            ],
        ];
    }

    /** @return array<string, mixed> what the invented books add */
    private static function book(string $model, string $control): array
    {
        return match ("{$model}/{$control}") {
            'Tolvane Ridge 300/clutch' => ['book' => [
                'printed' => '10–20 mm (3/8–13/16 in)',
                'interval' => ['usage' => 3000, 'unit' => 'km', 'months' => 12],
                'torques' => [['what' => 'Engine bracket lock nuts', 'nm' => 8], ['what' => 'Perch clamp', 'nm' => 6]],
            ]],
            'Hesk Strand 450/throttle' => ['book' => [
                'printed' => '2–6 mm (1/16–1/4 in)',
                'interval' => ['usage' => 100, 'unit' => 'h'],
            ]],
            'Ondrel Quay 125/clutch' => ['book' => ['interval' => ['usage' => 6000, 'unit' => 'mi']]],
            default => [],
        };
    }

    private static function family(string $model, string $control): string
    {
        return match (true) {
            $model === 'Morrigan Skiff 50' => 'automatic_clutch',
            $model === 'Tolvane Crest 450' => 'hydraulic_clutch',
            $control === 'drive' => str_starts_with($model, 'Ondrel')
                ? 'engage_by_pull'
                : (str_ends_with($model, 'Till 9') ? 'release_by_pull' : 'sliding_drive'),
            default => [
                'clutch' => 'clutch_lever',
                'throttle' => 'twist_grip',
                'trigger' => 'trigger_throttle',
                'pedal' => 'pedal_throttle',
                'auger' => 'hook_control',
                'bail' => 'bail',
                'selector' => 'speed_selector',
                'modes' => 'mode_cables',
                'brake' => 'brake_pull',
            ][$control]
                ?? 'other_control',
        };
    }

    /** @return array<string, mixed>|null none where no play is read */
    private static function aim(string $model, string $control): ?array
    {
        $edges = match (true) {
            in_array($control, ['bail', 'selector', 'modes'], true),
            in_array($model, ['Morrigan Skiff 50', 'Tolvane Crest 450', 'Brackwell Lawn 46'], true) => null,
            $control === 'trigger' => ['carburettor_barrel', 0.5, 1.6],
            $control === 'auger' => ['handle_travel', 8, 20],
            $control === 'pedal' => ['handle_travel', 6, 14],
            $control === 'brake' => ['lever_tip', 8, 18],
            $control === 'latch' => ['handle_travel', 3, 10],
            str_ends_with($model, 'Till 9') => ['handle_travel', 6, null],
            $control === 'drive' => ['handle_travel', 6, str_starts_with($model, 'Hesk') ? 18 : 25],
            $control === 'throttle' => ['grip_flange', 2, 6],
            str_starts_with($model, 'Morrigan') => ['perch_gap', 1, 3],
            str_starts_with($model, 'Ondrel') => ['lever_tip', 8, 14],
            default => ['lever_tip', 10, 20],
        };

        return $edges === null
            ? null
            : ['kind' => 'free_play_band', 'point' => $edges[0], 'low_mm' => $edges[1], 'high_mm' => $edges[2]];
    }

    /** @return array<string, mixed> */
    public static function run(string $model, string $control): array
    {
        return match ($control) {
            'clutch' => match ($model) {
                'Tolvane Shoal 500' => self::pushRodRun(),
                'Brackwell Cairn 350' => self::splineRun(),
                'Hesk Moor 250' => self::bareRun(
                    'lever',
                    'Clutch lever',
                    'release arm',
                    ['self', 'self-adjuster', 'self_adjuster'],
                ),
                'Tolvane Crest 450' => self::bareRun('lever', 'Clutch lever', 'slave cylinder', null),
                'Morrigan Skiff 50' => self::bareRun('pedal', 'Gear pedal', 'centrifugal clutch', null),
                default => self::clutchRun($model),
            },
            'throttle' => $model === 'Morrigan Fell 650' ? self::pushPullRun($model) : self::throttleRun($model),
            'trigger' => self::triggerRun(),
            'auger' => self::augerRun(),
            'bail' => self::bareRun(
                'bail',
                'Operator bail',
                'brake and stop',
                ['none', 'cable without adjuster', 'none'],
            ),
            'selector' => self::selectorRun(),
            'pedal' => self::pedalRun(),
            'modes' => self::modesRun(),
            'brake' => self::brakeRun(),
            'latch' => self::latchRun(),
            default => match ($model) {
                'Hesk Dune 53' => self::mowerRun(),
                'Brackwell Lawn 46' => self::slidingRun(),
                default => self::tractorRun(),
            },
        };
    }

    /** @return array<string, mixed> */
    private static function clutchRun(string $model): array
    {
        $tip = str_starts_with($model, 'Ondrel') ? 118 : 132;

        return [
            'hand' => ['kind' => 'lever', 'name' => 'Clutch lever', 'pivot_to_wire_mm' => 38,
                'pivot_to_point_mm' => ['lever_tip' => $tip, 'perch_gap' => 31], 'knowledge' => 'measured'],
            'cables' => [['id' => 'clutch', 'name' => 'Clutch cable', 'adjusters' => [
                [
                    'id' => 'perch',
                    'name' => 'perch barrel',
                    'kind' => 'barrel',
                    'thread' => 'M8 x 1.25',
                    'travel_mm' => 11,
                    'lock' => 'lock ring',
                    'access' => ['minutes' => 0, 'tools' => 'by hand'],
                ],
                [
                    'id' => 'in_line',
                    'name' => 'in-line adjuster',
                    'kind' => 'in_line',
                    'thread' => 'M8 x 1.25',
                    'travel_mm' => 14,
                    'access' => ['minutes' => 2, 'cover' => 'boot', 'tools' => '8 and 10 mm spanners'],
                ],
                [
                    'id' => 'bracket',
                    'name' => 'engine bracket',
                    'kind' => 'bracket_nuts',
                    'thread' => 'M8 x 1.25',
                    'travel_mm' => 22,
                    'access' => ['minutes' => 6, 'cover' => 'side cover', 'tools' => 'two 12 mm spanners'],
                    'lock_torque_nm' => 8,
                ],
            ]]],
            'working_end' => 'release arm',
        ];
    }

    /** @return array<string, mixed> */
    private static function throttleRun(string $model): array
    {
        $hidden = str_starts_with($model, 'Hesk') ? 'fuel tank cowl' : 'carburettor cover';

        return [
            'hand' => [
                'kind' => 'grip',
                'name' => 'Throttle grip',
                'drum_radius_mm' => 15,
                'flange_radius_mm' => 21,
                'knowledge' => 'drawn',
            ],
            'cables' => [['id' => 'throttle', 'name' => 'Throttle cable', 'adjusters' => [
                [
                    'id' => 'grip',
                    'name' => 'grip adjuster',
                    'kind' => 'in_line',
                    'thread' => 'M6 x 0.75',
                    'travel_mm' => 12,
                    'access' => ['minutes' => 1, 'cover' => 'boot', 'tools' => '8 and 10 mm spanners'],
                    'lock_torque_nm' => 3,
                ],
                [
                    'id' => 'carburettor',
                    'name' => 'carburettor adjuster',
                    'kind' => 'bracket_nuts',
                    'thread' => 'M6 x 1',
                    'travel_mm' => 12,
                    'access' => ['minutes' => 8, 'cover' => $hidden, 'tools' => 'two 10 mm spanners'],
                    'lock_torque_nm' => 3,
                ],
            ]]],
            'working_end' => 'carburettor',
        ];
    }

    /** @return array<string, mixed> two cables on one drum: one opens, the other closes */
    private static function pushPullRun(string $model): array
    {
        $run = self::throttleRun($model);
        $run['cables'][] = ['id' => 'closing', 'name' => 'Closing cable', 'pulls' => 'closing', 'adjusters' => [
            [
                'id' => 'return',
                'name' => 'return adjuster',
                'kind' => 'bracket_nuts',
                'thread' => 'M6 x 1',
                'travel_mm' => 12,
                'access' => ['minutes' => 2, 'tools' => 'two 10 mm spanners'],
                'lock_torque_nm' => 3,
            ],
        ]];

        return $run;
    }

    /** @return array<string, mixed> a clutch whose push rod is set first, behind its cover */
    private static function pushRodRun(): array
    {
        $run = self::clutchRun('Tolvane Shoal 500');
        $adjusters = $run['cables'][0]['adjusters'];
        $run['cables'][0]['adjusters'] = [
            $adjusters[0],
            $adjusters[2],
            [
                'id' => 'push_rod',
                'name' => 'push rod',
                'kind' => 'push_rod_a',
                'access' => ['minutes' => 10, 'cover' => 'clutch cover plate', 'tools' => '13 mm spanner, screwdriver'],
                'lock_torque_nm' => 12,
            ],
        ];

        return $run;
    }

    /** @return array<string, mixed> */
    private static function triggerRun(): array
    {
        return [
            'hand' => ['kind' => 'trigger', 'name' => 'Throttle trigger'],
            'cables' => [['id' => 'throttle', 'name' => 'Throttle cable', 'adjusters' => [
                [
                    'id' => 'cam',
                    'name' => 'cam screw',
                    'kind' => 'cam_screw',
                    'mm_per_step' => 1.4,
                    'knowledge' => 'drawn',
                    'travel_steps' => ['from' => 0, 'to' => 2],
                    'lock' => 'cam clip',
                    'access' => ['minutes' => 2, 'cover' => 'filter cover', 'tools' => 'screwdriver'],
                ],
            ]]],
            'working_end' => 'carburettor',
        ];
    }

    /** @return array<string, mixed> */
    private static function mowerRun(): array
    {
        return [
            'hand' => [
                'kind' => 'handle',
                'name' => 'Drive handle',
                'pivot_to_wire_mm' => 40,
                'pivot_to_point_mm' => ['handle_travel' => 120],
                'knowledge' => 'drawn',
            ],
            'cables' => [['id' => 'drive', 'name' => 'Drive cable', 'adjusters' => [
                [
                    'id' => 'rungs',
                    'name' => 'rung clamp',
                    'kind' => 'rung_clamp',
                    'mm_per_step' => 2.5,
                    'knowledge' => 'measured',
                    'travel_steps' => ['from' => 1, 'to' => 12],
                    'lock' => 'clamp bolt',
                    'access' => ['minutes' => 2, 'tools' => '10 mm spanner'],
                ],
                [
                    'id' => 'slot',
                    'name' => 'slotted bracket',
                    'kind' => 'slotted_bracket',
                    'mm_per_step' => 1,
                    'knowledge' => 'measured',
                    'travel_steps' => ['from' => 0, 'to' => 18],
                    'lock' => 'bracket bolt',
                    'access' => ['minutes' => 5, 'cover' => 'belt cover', 'tools' => '13 mm spanner'],
                ],
            ]]],
            'working_end' => 'drive clutch',
        ];
    }

    /** @return array<string, mixed> */
    private static function tractorRun(): array
    {
        return [
            'hand' => [
                'kind' => 'handle',
                'name' => 'Drive handle',
                'pivot_to_wire_mm' => 45,
                'pivot_to_point_mm' => ['handle_travel' => 150],
                'knowledge' => 'drawn',
            ],
            'cables' => [['id' => 'drive', 'name' => 'Drive cable', 'adjusters' => [
                [
                    'id' => 'bolt',
                    'name' => 'hollow bolt',
                    'kind' => 'hollow_bolt',
                    'thread' => 'M8 x 1.25',
                    'travel_mm' => 16,
                    'access' => ['minutes' => 1, 'tools' => 'two 13 mm spanners'],
                    'lock_torque_nm' => 10,
                ],
                [
                    'id' => 'far_bolt',
                    'name' => 'engine-end bolt',
                    'kind' => 'hollow_bolt',
                    'thread' => 'M8 x 1.25',
                    'travel_mm' => 16,
                    'access' => ['minutes' => 5, 'cover' => 'engine shroud', 'tools' => 'two 13 mm spanners'],
                    'lock_torque_nm' => 10,
                ],
                [
                    'id' => 'clamp',
                    'name' => 'pinch clamp',
                    'kind' => 'pinch_clamp',
                    'mm_per_step' => 1,
                    'knowledge' => 'measured',
                    'travel_steps' => ['from' => 0, 'to' => 25],
                    'lock' => 'clamp screw',
                    'access' => ['minutes' => 8, 'cover' => 'side guard', 'tools' => '10 mm spanner, pliers'],
                ],
            ]]],
            'working_end' => 'drive clutch',
        ];
    }

    /** @return array<string, mixed> */
    private static function augerRun(): array
    {
        return [
            'hand' => [
                'kind' => 'handle',
                'name' => 'Auger handle',
                'pivot_to_wire_mm' => 50,
                'pivot_to_point_mm' => ['handle_travel' => 140],
                'knowledge' => 'drawn',
            ],
            'cables' => [['id' => 'auger', 'name' => 'Auger cable', 'adjusters' => [
                [
                    'id' => 'holes',
                    'name' => 'auger hook',
                    'kind' => 'hook_holes',
                    'mm_per_step' => 4,
                    'knowledge' => 'measured',
                    'travel_steps' => ['from' => 1, 'to' => 5],
                    'lock' => 'clip',
                    'access' => ['minutes' => 4, 'cover' => 'belt cover', 'tools' => 'pliers'],
                ],
                [
                    'id' => 'screw',
                    'name' => 'in-line adjuster',
                    'kind' => 'in_line',
                    'thread' => 'M6 x 1',
                    'travel_mm' => 10,
                    'access' => ['minutes' => 1, 'tools' => '8 and 10 mm spanners'],
                ],
            ]]],
            'working_end' => 'auger clutch',
        ];
    }

    /**
     * A run on which nothing is turned for play.
     *
     * @param  array{string, string, string}|null  $adjuster
     * @return array<string, mixed>
     */
    private static function bareRun(string $hand, string $name, string $end, ?array $adjuster): array
    {
        return [
            'hand' => [
                'kind' => $hand,
                'name' => $name,
                'pivot_to_wire_mm' => 38,
                'pivot_to_point_mm' => ['lever_tip' => 132],
                'knowledge' => 'drawn',
            ],
            'cables' => [[
                'id' => 'cable',
                'name' => $end === 'slave cylinder' ? 'Fluid line' : 'Cable',
                'adjusters' => $adjuster === null
                    ? []
                    : [[
                        'id' => $adjuster[0],
                        'name' => $adjuster[1],
                        'kind' => $adjuster[2],
                        'access' => ['minutes' => 3, 'tools' => 'by hand'],
                    ]],
            ]],
            'working_end' => $end,
        ];
    }

    /** @return array<string, mixed> a clutch whose arm sits on a spline, with the push rod behind the other cover */
    private static function splineRun(): array
    {
        $run = self::clutchRun('Brackwell Cairn 350');
        $adjusters = $run['cables'][0]['adjusters'];
        $run['cables'][0]['adjusters'] = [$adjusters[0], $adjusters[2],
            [
                'id' => 'push_rod',
                'name' => 'push rod',
                'kind' => 'push_rod_b',
                'access' => ['minutes' => 12, 'cover' => 'clutch cover', 'tools' => 'screwdriver'],
            ],
            [
                'id' => 'spline',
                'name' => 'release arm',
                'kind' => 'spline_arm',
                'access' => ['minutes' => 15, 'cover' => 'sprocket cover', 'tools' => 'ring pliers'],
            ]];

        return $run;
    }

    /** @return array<string, mixed> */
    private static function slidingRun(): array
    {
        return [
            'hand' => ['kind' => 'handle', 'name' => 'Drive handle'],
            'cables' => [['id' => 'drive', 'name' => 'Drive cable', 'adjusters' => [
                [
                    'id' => 'rungs',
                    'name' => 'rung clamp',
                    'kind' => 'rung_clamp',
                    'mm_per_step' => 2.5,
                    'knowledge' => 'measured',
                    'travel_steps' => ['from' => 1, 'to' => 12],
                    'lock' => 'clamp bolt',
                    'access' => ['minutes' => 2, 'tools' => '10 mm spanner'],
                ],
            ]]],
            'working_end' => 'drive clutch',
        ];
    }

    /** @return array<string, mixed> */
    private static function selectorRun(): array
    {
        return [
            'hand' => ['kind' => 'selector', 'name' => 'Speed selector'],
            'cables' => [['id' => 'selector', 'name' => 'Selector cable', 'adjusters' => [
                [
                    'id' => 'bracket',
                    'name' => 'slotted bracket',
                    'kind' => 'slotted_bracket',
                    'mm_per_step' => 1,
                    'knowledge' => 'measured',
                    'travel_steps' => ['from' => 0, 'to' => 24],
                    'lock' => 'bracket bolt',
                    'access' => ['minutes' => 4, 'tools' => 'two 13 mm spanners'],
                ],
            ]]],
            'working_end' => 'friction disc',
        ];
    }

    /** @return array<string, mixed> pedal to governor arm, governor to carburettor */
    private static function pedalRun(): array
    {
        return [
            'hand' => [
                'kind' => 'pedal',
                'name' => 'Throttle pedal',
                'pivot_to_wire_mm' => 60,
                'pivot_to_point_mm' => ['handle_travel' => 180],
                'knowledge' => 'drawn',
            ],
            'cables' => [
                ['id' => 'primary', 'name' => 'Primary cable', 'adjusters' => [
                    [
                        'id' => 'primary_nuts',
                        'name' => 'primary nuts',
                        'kind' => 'bracket_nuts',
                        'thread' => 'M6 x 1',
                        'travel_mm' => 16,
                        'access' => ['minutes' => 3, 'cover' => 'floor plate', 'tools' => 'two 10 mm spanners'],
                    ],
                    [
                        'id' => 'governor',
                        'name' => 'governor nut',
                        'kind' => 'governor_nut',
                        'thread' => 'M6 x 1',
                        'travel_mm' => 30,
                        'stays_mm' => 12.7,
                        'access' => ['minutes' => 4, 'tools' => '10 mm spanner'],
                    ],
                ]],
                ['id' => 'secondary', 'name' => 'Secondary cable', 'pulls' => 'following', 'adjusters' => [
                    [
                        'id' => 'secondary_nuts',
                        'name' => 'secondary nuts',
                        'kind' => 'bracket_nuts',
                        'thread' => 'M6 x 1',
                        'travel_mm' => 12,
                        'access' => ['minutes' => 3, 'tools' => 'two 10 mm spanners'],
                    ],
                ]],
            ],
            'working_end' => 'carburettor',
        ];
    }

    /** @return array<string, mixed> three cables at one arm, each with its own adjuster of bevels */
    private static function modesRun(): array
    {
        $cable = static fn (string $id, string $name): array => ['id' => $id, 'name' => ucfirst($name), 'adjusters' => [
            [
                'id' => "{$id}_bevels",
                'name' => "{$name} adjuster",
                'kind' => 'in_line',
                'thread' => 'M8 x 1.25',
                'travel_mm' => 20,
                'bevels_per_turn' => 6,
                'access' => ['minutes' => 3, 'tools' => '12 mm spanner'],
            ],
        ]];

        return [
            'hand' => ['kind' => 'selector', 'name' => 'Mode lever'],
            'cables' => [
                $cable('mode', 'mode cable'),
                $cable('park', 'park cable'),
                $cable('differential', 'differential cable'),
            ],
            'working_end' => 'mode arm',
        ];
    }

    /** @return array<string, mixed> a cable of no family of its own */
    private static function latchRun(): array
    {
        return [
            'hand' => [
                'kind' => 'handle',
                'name' => 'Latch handle',
                'pivot_to_wire_mm' => 30,
                'pivot_to_point_mm' => ['handle_travel' => 90],
                'knowledge' => 'drawn',
            ],
            'cables' => [['id' => 'latch', 'name' => 'Latch cable', 'adjusters' => [
                [
                    'id' => 'barrel',
                    'name' => 'barrel adjuster',
                    'kind' => 'barrel',
                    'thread' => 'M6 x 1',
                    'travel_mm' => 14,
                    'access' => ['minutes' => 1, 'tools' => 'by hand'],
                ],
            ]]],
            'working_end' => 'bed latch',
        ];
    }

    /** @return array<string, mixed> */
    private static function brakeRun(): array
    {
        return [
            'hand' => [
                'kind' => 'lever',
                'name' => 'Brake lever',
                'pivot_to_wire_mm' => 40,
                'pivot_to_point_mm' => ['lever_tip' => 160],
                'knowledge' => 'drawn',
            ],
            'cables' => [['id' => 'brake', 'name' => 'Brake cable', 'adjusters' => [
                [
                    'id' => 'bolt',
                    'name' => 'hollow bolt',
                    'kind' => 'hollow_bolt',
                    'thread' => 'M8 x 1.25',
                    'travel_mm' => 18,
                    'access' => ['minutes' => 1, 'tools' => 'two 13 mm spanners'],
                ],
                [
                    'id' => 'clamp',
                    'name' => 'pinch clamp',
                    'kind' => 'pinch_clamp',
                    'mm_per_step' => 1,
                    'knowledge' => 'measured',
                    'travel_steps' => ['from' => 0, 'to' => 25],
                    'lock' => 'clamp screw',
                    'access' => ['minutes' => 6, 'cover' => 'wheel cover', 'tools' => '10 mm spanner'],
                ],
            ]]],
            'working_end' => 'brake drum',
        ];
    }
}
