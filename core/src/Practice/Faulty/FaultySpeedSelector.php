<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** A friction wheel on its disc: where the arm stands, and what turns the disc. */
final readonly class FaultySpeedSelector implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...array_diff_key(AnyCable::faults(), ['used_up' => true]),
            'off_forward' => AnyCable::spoilt('offset', 0.7, 2.0),
            'off_reverse' => AnyCable::spoilt('offset', -2.0, -0.7),
            'slipped_bracket' => AnyCable::spoilt('offset', 0.4, 2.2, 'bracket_slip', 1.0, 1.0),
            'bent_arm' => AnyCable::spoilt('offset', -1.8, 1.8, 'arm_bent', 0.4, 1.0),
            'oily_disc' => AnyCable::spoilt('oil', 0.3, 0.7),
            'worn_rubber' => AnyCable::spoilt('rubber', 0.25, 0.7),
            'stiff_pivot' => AnyCable::spoilt('stiff', 0.5, 1.3, 'pivot', 0.4, 1.0),
            'worn_zbend' => AnyCable::spoilt('zbend', 0.4, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        // The gears lie one apart: more than half a gear off, the first one on the other side goes the wrong way.
        $at = self::at($is);

        return [
            'wrong_direction' => abs($at) > 0.5,
            'weak' => (1.0 - $is->of('oil')) * (1.0 - $is->of('rubber')) * (1.0 - 0.1 * max(0.0, -$at)) < 0.82,
            'creeps_out' => abs($at) > 0.35 && abs($at) < 0.65,
            'hard_to_shift' => $is->of('pivot') > 0.3 || $is->of('arm_bent') > 0.7 || $is->of('zbend') > 0.85,
            'again_and_again' => $is->of('bracket_slip') > 0.5
                || $is->of('zbend') > 0.5
                || $is->of('rubber') > 0.55
                || abs($is->of('rate')) > 0.35,
            'no_spring_back' => false, 'dead_travel' => false, 'play_changes' => false, 'end_of_thread' => false,
            'wobbles' => false,
        ];
    }

    public function looks(WornControl $is): array
    {
        $at = self::at($is);

        return [
            'bracket' => $is->sees($is->of('arm_bent'), 0.25, 0.08)
                ? 'bent'
                : ($is->of('bracket_slip') > 0.5 ? 'slipped' : null),
            'r1' => $at > 0.5 ? 'forward' : null,
            'f1' => $at < -0.5 ? 'backward' : null,
            'disc' => $is->sees($is->of('oil'), 0.15, 0.05)
                ? 'oily'
                : ($is->sees($is->of('rubber'), 0.15, 0.05) ? 'worn' : null),
            'pivot' => $is->sees($is->of('pivot'), 0.25, 0.08) ? 'stiff' : null,
            'zbend' => $is->sees($is->of('zbend'), 0.25, 0.08) ? 'worn' : null,
        ];
    }

    /** How far the wheel stands off, in gears; positive is towards forward. */
    private static function at(WornControl $is): float
    {
        return $is->of('offset')
            + 0.35 * $is->standsOut()
            + 0.55 * $is->of('zbend') * $is->of('today')
            + 0.4 * $is->of('pivot') * $is->of('today');
    }
}
