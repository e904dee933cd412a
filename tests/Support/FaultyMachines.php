<?php

declare(strict_types=1);

namespace Tests\Support;

use VividPull\Core\Spec\FamilyKey;

/** A machine of every family with a real fault, and who mends it. */
final readonly class FaultyMachines
{
    /** @return iterable<string, array{string, string, FamilyKey, Technician}> tag, control, family, and who mends it */
    public static function all(): iterable
    {
        $yes = ['check:' => 'yes', 'found:' => 'yes'];
        yield 'a clutch lever with too much play, turned the wrong way first' => [
            'RT-14',
            'clutch',
            FamilyKey::ClutchLever,
            new Technician(
                $yes
                    + [
                        'condition' => 'cold',
                        'thread:' => '3.1',
                        'reading:' => ['27', '30', '15'],
                        'in_band' => ['27', '30', '15'],
                        'check:no_slip' => 'holds',
                        'check:bite' => 'middle',
                    ],
                [
                    'thread:perch' => ['27 rungs', 'does not say how much thread shows'],
                    'reading:found' => ['27 lbf', 'which is a force; play is a length'],
                    'check:wiggle_still' => ['15', 'is asked now'],
                ],
                ['-2f'],
            ),
        ];
        yield 'a clutch lever that creeps' => ['RT-14', 'clutch', FamilyKey::ClutchLever, new Technician(
            $yes
                + [
                    'condition' => 'cold',
                    'thread:' => '3.1',
                    'reading:' => ['15', '13.5'],
                    'in_band' => ['15', '13.5'],
                    'check:no_slip' => 'holds',
                    'check:bite' => 'middle',
                    'check:no_creep' => ['no', 'yes'],
                ],
            ['engine_off' => ['15', 'is asked now']])];
        yield 'an automatic clutch that creeps' => ['SC-14', 'clutch', FamilyKey::AutomaticClutch, new Technician(
            $yes
                + [
                    'found:still_at_idle' => 'no',
                    'found:takes_hold' => 'smoothly',
                    'check:takes_hold' => 'smoothly',
                    'cure' => 'other',
                ],
            ['found:takes_hold' => ['4 mm', 'no play is read on this control']])];
        yield 'a hydraulic clutch that is spongy' => ['RT-30', 'clutch', FamilyKey::HydraulicClutch, new Technician(
            $yes
                + [
                    'found:lever_feel' => 'spongy',
                    'found:no_slip' => 'holds',
                    'check:lever_feel' => 'firm',
                    'check:no_slip' => 'holds',
                    'cure' => 'other',
                ],
            ['found:lever_feel' => ['+1t', 'Nothing is turned on this control']])];
        yield 'a throttle grip with too much play, read on a stand and turned one too many' => [
            'QB-03',
            'throttle',
            FamilyKey::TwistGrip,
            new Technician(
                $yes
                    + [
                        'condition' => 'ground',
                        'thread:' => '3',
                        'reading:' => ['9', '1.5', '4'],
                        'in_band' => ['9', '1.5', '4'],
                        'pose:' => '4',
                    ],
                ['condition' => ['9', 'on its wheels'], 'check:snap_shut' => ['4', 'is asked now']],
                ['+3t'],
            ),
        ];
        yield 'a trigger that does not open wide' => ['TM-06', 'trigger', FamilyKey::TriggerThrottle, new Technician(
            $yes
                + [
                    'condition' => 'cold',
                    'thread:' => '3',
                    'reading:' => ['1.2', '1.0'],
                    'in_band' => ['1.2', '1.0'],
                    'check:wide_open' => ['no', 'yes'],
                ],
            ['check:snap_shut' => ['1.1', 'is asked now']])];
        yield 'a pedal with too much play' => ['UC-01', 'pedal', FamilyKey::PedalThrottle, new Technician(
            $yes
                + [
                    'condition' => 'cold',
                    'thread:governor' => '20',
                    'thread:' => '4',
                    'reading:found:second' => '1.5',
                    'in_band:second' => '1.5',
                    'reading:left:second' => '1.5',
                    'reading:' => ['18', '10'],
                    'in_band' => ['18', '10'],
                    'check:take_off' => 'smooth',
                    'measure:tyre' => '457',
                    'measure:ground_speed' => '14.9 mph',
                ],
            ['measure:ground_speed' => ['13 mm', 'is a length']])];
        yield 'a drive that is slow, found one rung at a time' => [
            'MW-07',
            'drive',
            FamilyKey::SlidingDrive,
            new Technician(
                $yes
                    + [
                        'found:outcome' => 'slow',
                        'thread:' => '5',
                        'try:' => ['slow', 'slow', 'right'],
                        'check:on_grass' => 'well',
                    ],
                ['found:outcome' => ['12', 'no play is read on this control'], 'thread:' => ['+1t', 'counts in rungs']],
            ),
        ];
        yield 'a drive that slips under load' => ['TR-02', 'drive', FamilyKey::EngageByPull, new Technician(
            $yes
                + [
                    'condition' => 'cold',
                    'thread:' => '4',
                    'reading:' => ['15', '14'],
                    'in_band' => ['15', '14'],
                    'found:measure' => '60',
                    'measure:' => '60',
                    'check:light_load' => 'early',
                    'check:under_load' => ['slips', 'pulls'],
                ],
            ['found:measure' => ['60 N', 'is a force']])];
        yield 'a drive clutch with no play left, turned the wrong way first' => [
            'TR-05',
            'drive',
            FamilyKey::ReleaseByPull,
            new Technician(
                $yes
                    + [
                        'condition' => 'cold',
                        'thread:' => '4',
                        'reading:' => ['4', '1', '15'],
                        'in_band' => ['4', '1', '15'],
                        'check:drives_released' => 'smoothly',
                        'check:under_load' => 'pulls',
                    ],
                ['check:springs_back' => ['15', 'is asked now']],
                ['+1/2t'],
            ),
        ];
        yield 'a bail with a broken peg' => ['MW-07', 'bail', FamilyKey::Bail, new Technician(
            $yes
                + [
                    'found:brake_off' => 'no',
                    'check:stops' => 'engine_stops',
                    'measure:' => '2.2 s',
                    'cure' => 'mount',
                ],
            [
                'found:brake_off' => ['2.2 s', 'no play is read on this control'],
                'measure:' => ['2.2 mm', 'is a length'],
            ])];
        yield 'a selector that goes forward in reverse' => [
            'SN-03',
            'selector',
            FamilyKey::SpeedSelector,
            new Technician(
                $yes
                    + [
                        'thread:' => '10',
                        'found:outcome:r' => 'forward',
                        'found:outcome:f' => 'forward',
                        'arm_goes' => 'cannot be seen',
                        'arm_went' => 'minus',
                        'try:r' => ['forward', 'forward', 'reverse'],
                        'try:f' => 'forward',
                        'outcome:r' => 'reverse',
                        'outcome:f' => 'forward',
                    ],
                ['thread:bracket' => ['forward', 'Type where the slotted bracket stands']],
                ['+3mm'],
            ),
        ];
        yield 'modes that pass their notch' => ['UC-01', 'modes', FamilyKey::ModeCables, new Technician(
            $yes
                + [
                    'thread:' => '6',
                    'found:outcome' => 'right',
                    'found:outcome:park' => 'over',
                    'outcome:' => 'right',
                    'try:' => 'right',
                    'check:unlock' => 'cleanly',
                ],
            ['thread:mode_bevels' => ['right', 'does not say how much thread shows']])];
        yield 'an auger hook with too much play' => ['SN-03', 'auger', FamilyKey::HookControl, new Technician(
            $yes + ['condition' => 'cold', 'thread:' => '3', 'reading:' => ['26', '14'], 'in_band' => ['26', '14']],
            ['check:springs_back' => ['14', 'is asked now']])];
        yield 'a bed latch with too much play, turned one too many' => [
            'UC-03',
            'latch',
            FamilyKey::OtherControl,
            new Technician(
                $yes
                    + [
                        'condition' => 'cold',
                        'thread:' => '5',
                        'reading:' => ['12', '2', '6'],
                        'in_band' => ['12', '2', '6'],
                    ],
                ['thread:barrel' => ['5 N', 'the thread that shows is a length']],
                ['+3t'],
            ),
        ];
        yield 'a brake that does not hold' => ['UC-01', 'brake', FamilyKey::BrakePull, new Technician(
            $yes
                + [
                    'condition' => 'cold',
                    'thread:' => '3',
                    'reading:' => ['13', '12'],
                    'in_band' => ['13', '12'],
                    'check:holds' => ['not', 'before_end'],
                ],
            ['check:no_drag' => ['13', 'is asked now']])];
    }
}
