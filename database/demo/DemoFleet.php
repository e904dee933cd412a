<?php

declare(strict_types=1);

namespace Database\Demo;

/** The invented machines of Saltmarsh Ferry & Parks, their runs, and the specs of their invented makers. */
final readonly class DemoFleet
{
    /** Tag, plate, model, kind, year, place, usage, unit, controls. */
    public const MACHINES = [
        ['RT-14', 'SFP 514', 'Tolvane Ridge 300', 'trail motorcycle', 2022, 'ranger station north', 6412, 'km', ['clutch', 'throttle']],
        ['RT-11', 'SFP 511', 'Tolvane Ridge 300', 'trail motorcycle', 2022, 'ranger station north', 8930, 'km', ['clutch', 'throttle']],
        ['RT-09', 'SFP 509', 'Tolvane Ridge 300', 'trail motorcycle', 2021, 'ranger station south', 11205, 'km', ['clutch', 'throttle']],
        ['RT-20', 'SFP 520', 'Tolvane Ridge 300', 'trail motorcycle', 2025, 'ranger station south', 640, 'km', ['clutch', 'throttle']],
        ['RT-16', 'SFP 516', 'Morrigan Heath 200', 'trail motorcycle', 2020, 'lighthouse depot', 15830, 'km', ['clutch', 'throttle']],
        ['RT-02', 'SFP 502', 'Morrigan Heath 200', 'trail motorcycle', 2018, 'lighthouse depot', 22410, 'km', ['clutch', 'throttle']],
        ['QB-03', null, 'Hesk Strand 450', 'beach quad', 2021, 'east beach', 742, 'h', ['throttle']],
        ['QB-05', null, 'Hesk Strand 450', 'beach quad', 2021, 'east beach', 811, 'h', ['throttle']],
        ['QB-07', null, 'Hesk Strand 450', 'beach quad', 2023, 'west beach', 305, 'h', ['throttle']],
        ['QB-01', null, 'Brackwell Sandrunner 400', 'beach quad', 2019, 'west beach', 1340, 'h', ['throttle']],
        ['SC-08', 'SFP 808', 'Ondrel Quay 125', 'ferry-deck scooter', 2020, 'ferry pier', 9120, 'km', ['clutch', 'throttle']],
        ['SC-02', 'SFP 802', 'Ondrel Quay 125', 'ferry-deck scooter', 2019, 'ferry pier', 13075, 'km', ['clutch', 'throttle']],
        ['SC-05', 'SFP 805', 'Ondrel Quay 125', 'ferry-deck scooter', 2022, 'harbour office', 4288, 'km', ['clutch', 'throttle']],
        ['SC-11', 'SFP 811', 'Ondrel Quay 125', 'ferry-deck scooter', 2024, 'harbour office', 1510, 'km', ['clutch', 'throttle']],
    ];

    public const SHELF = [
        ['rule-300', ['name' => 'Steel rule', 'kind' => 'steel_rule', 'resolution_mm' => 0.5, 'reach_mm' => 300, 'calibration' => null]],
        ['caliper-1', ['name' => 'Caliper', 'kind' => 'caliper', 'resolution_mm' => 0.05, 'reach_mm' => 150,
            'calibration' => ['expanded_mm' => 0.04, 'factor' => 2, 'due' => null]]],
        ['tape-pen', ['name' => 'Tape and pen', 'kind' => 'tape_marks', 'resolution_mm' => 0.5, 'reach_mm' => 200, 'calibration' => null]],
    ];

    /** @return array<string, mixed> */
    public static function spec(string $model, string $control): array
    {
        $clutch = $control === 'clutch';
        [$point, $low, $high] = match (true) {
            ! $clutch => ['grip_flange', 2, 6],
            str_starts_with($model, 'Morrigan') => ['perch_gap', 1, 3],
            str_starts_with($model, 'Ondrel') => ['lever_tip', 8, 14],
            default => ['lever_tip', 10, 20],
        };
        [$maker] = explode(' ', $model);

        return [
            'family' => $clutch ? 'clutch_lever' : 'twist_grip',
            'aim' => ['kind' => 'free_play_band', 'point' => $point, 'low_mm' => $low, 'high_mm' => $high],
            'conditions' => [
                'engine' => $clutch ? (str_starts_with($model, 'Morrigan') ? 'hot' : 'cold') : null,
                'wheels' => $clutch ? null : 'on_ground',
                'poses' => $clutch ? ['straight'] : ['straight', 'left', 'right'],
            ],
            'policy' => $clutch ? 'loose' : 'middle',
            'rule' => 'guarded',
            'source' => [
                'document' => "{$maker} service book", 'edition' => '2nd edition', 'page' => $clutch ? '3-11' : '4-2',
                'entered_by' => 'Tomas', 'checked_by' => 'Oda',
            ],
        ];
    }

    /** @return array<string, mixed> */
    public static function run(string $model, string $control): array
    {
        return $control === 'clutch' ? self::clutchRun($model) : self::throttleRun($model);
    }

    /** @return array<string, mixed> */
    private static function clutchRun(string $model): array
    {
        $tip = str_starts_with($model, 'Ondrel') ? 118 : 132;

        return [
            'hand' => ['kind' => 'lever', 'name' => 'Clutch lever', 'pivot_to_wire_mm' => 38,
                'pivot_to_point_mm' => ['lever_tip' => $tip, 'perch_gap' => 31], 'knowledge' => 'measured'],
            'cables' => [['id' => 'clutch', 'name' => 'Clutch cable', 'adjusters' => [
                ['id' => 'perch', 'name' => 'perch barrel', 'kind' => 'barrel', 'thread' => 'M8 x 1.25', 'travel_mm' => 11, 'lock' => 'lock ring',
                    'access' => ['minutes' => 0, 'tools' => 'by hand']],
                ['id' => 'in_line', 'name' => 'in-line adjuster', 'kind' => 'in_line', 'thread' => 'M8 x 1.25', 'travel_mm' => 14,
                    'access' => ['minutes' => 2, 'cover' => 'boot', 'tools' => '8 and 10 mm spanners']],
                ['id' => 'bracket', 'name' => 'engine bracket', 'kind' => 'bracket_nuts', 'thread' => 'M8 x 1.25', 'travel_mm' => 22,
                    'access' => ['minutes' => 6, 'cover' => 'side cover', 'tools' => 'two 12 mm spanners'], 'lock_torque_nm' => 8],
            ]]],
            'working_end' => 'release arm',
        ];
    }

    /** @return array<string, mixed> */
    private static function throttleRun(string $model): array
    {
        $hidden = str_starts_with($model, 'Hesk') ? 'fuel tank cowl' : 'carburettor cover';

        return [
            'hand' => ['kind' => 'grip', 'name' => 'Throttle grip', 'drum_radius_mm' => 15, 'flange_radius_mm' => 21, 'knowledge' => 'drawn'],
            'cables' => [['id' => 'throttle', 'name' => 'Throttle cable', 'adjusters' => [
                ['id' => 'grip', 'name' => 'grip adjuster', 'kind' => 'in_line', 'thread' => 'M6 x 0.75', 'travel_mm' => 12,
                    'access' => ['minutes' => 1, 'cover' => 'boot', 'tools' => '8 and 10 mm spanners'], 'lock_torque_nm' => 3],
                ['id' => 'carburettor', 'name' => 'carburettor adjuster', 'kind' => 'bracket_nuts', 'thread' => 'M6 x 1', 'travel_mm' => 12,
                    'access' => ['minutes' => 8, 'cover' => $hidden, 'tools' => 'two 10 mm spanners'], 'lock_torque_nm' => 3],
            ]]],
            'working_end' => 'carburettor',
        ];
    }
}
