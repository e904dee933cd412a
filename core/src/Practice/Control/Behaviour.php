<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

use VividPull\Core\Cable\Run;
use VividPull\Core\Family\Families;
use VividPull\Core\Spec\FamilyKey;

/**
 * What a control of each family does when it is tried, by what is true of it: the words that say so, the first that
 * holds counts, and none where it does what it should. Written from the trade, not from what the bench makes of an
 * answer. Common practice, no source.
 */
final readonly class Behaviour
{
    private const RETURNS = ['no' => ['weak_spring', 'dry']];

    private const SHOWS = [
        'clutch_lever' => [
            'arm_loose' => ['no' => ['taut']], 'wiggle_still' => ['no' => ['taut']],
            'no_creep' => ['no' => ['loose', 'wrong_spline']],
            // Part-released all the time, it slips; the further it is let out the earlier it grips again.
            'no_slip' => ['slips' => ['tight']], 'bite' => ['early' => ['loose'], 'late' => ['tight']],
        ],
        'automatic_clutch' => [
            'still_at_idle' => ['no' => ['weak_spring']],
            'takes_hold' => ['snatch' => ['weak_spring']],
        ],
        'hydraulic_clutch' => ['lever_feel' => ['spongy' => ['air']], 'no_creep' => ['no' => ['air']]],
        'twist_grip' => [
            'snap_shut' => ['no' => ['taut', 'dry', 'weak_spring']],
            'wire_in_groove' => ['no' => ['off_groove']],
            'idle_steady' => ['no' => ['taut']],
        ],
        'trigger_throttle' => [
            'wide_open' => ['no' => ['loose']],
            'snap_shut' => ['no' => ['taut', 'dry', 'weak_spring']],
            'end_home' => ['no' => ['off_seat']],
            'idle_still' => ['no' => ['taut']],
        ],
        'pedal_throttle' => [
            'wide_open' => ['no' => ['loose']],
            'snap_shut' => ['no' => ['taut', 'dry', 'weak_spring']],
            'take_off' => ['jerky' => ['tight'], 'dead' => ['loose']],
        ],
        'sliding_drive' => [
            'nothing_at_rest' => ['no' => ['tight']],
            'rolls_back' => ['no' => ['tight']],
            'handle_returns' => self::RETURNS,
            'on_grass' => ['slow' => ['loose'], 'slips' => ['belt']],
        ],
        'engage_by_pull' => [
            'nothing_at_rest' => ['no' => ['tight']],
            'light_load' => ['late' => ['loose']],
            'under_load' => ['slips' => ['loose', 'belt']],
            'springs_back' => self::RETURNS,
        ],
        'release_by_pull' => [
            'stands_pulled' => ['no' => ['loose']],
            'drives_released' => ['weak' => ['tight']],
            'under_load' => ['slips' => ['tight', 'belt']],
            'springs_back' => self::RETURNS,
        ],
        'bail' => [
            'brake_off' => ['no' => ['mount']],
            'contact_open' => ['no' => ['mount']],
            'brake_on' => ['no' => ['weak_spring']],
            'stops' => ['runs_on' => ['weak_spring']],
        ],
        'speed_selector' => [],
        'mode_cables' => [],
        'hook_control' => [
            'nothing_at_rest' => ['no' => ['tight']],
            'full_drive' => ['no' => ['loose', 'belt']],
            'springs_back' => self::RETURNS,
        ],
        'brake_pull' => [
            'no_drag' => ['no' => ['tight']],
            'holds' => ['at_end' => ['loose']],
            'springs_back' => self::RETURNS,
        ],
        'other_control' => [
            'nothing_at_rest' => ['no' => ['tight']],
            'works_fully' => ['no' => ['loose']],
            'springs_back' => self::RETURNS,
        ],
    ];

    /** The word for what a proof shows, also where it passes. */
    public static function word(FamilyKey $family, Run $run, string $proof, TrueControl $control): string
    {
        $passing = null;
        foreach (Families::of($family)->proofs($run) as $one) {
            $passing = $one->key === $proof ? $one->answers->passing[0] : $passing;
        }

        return self::shows($family, $proof, $control) ?? $passing ?? 'yes';
    }

    /** The word for what it does; null where it does what it should. */
    public static function shows(FamilyKey $family, string $proof, TrueControl $control): ?string
    {
        foreach (self::SHOWS[$family->value][$proof] ?? [] as $word => $reasons) {
            foreach ($reasons as $reason) {
                if ($control->is($reason)) {
                    return $word;
                }
            }
        }

        return null;
    }
}
