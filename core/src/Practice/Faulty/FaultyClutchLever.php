<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** A wet clutch by lever, cable and release arm: what its stroke lifts, and what its springs hold. */
final readonly class FaultyClutchLever implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...AnyCable::faults(),
            ...AnyCable::settings(),
            'rod_tight' => AnyCable::spoilt('rod_gap_gone', 0.25, 0.6),
            'hot' => AnyCable::spoilt('heat', -2.2, 2.2),
            'worn_barrel' => AnyCable::spoilt('barrel_loose', 0.5, 1.0, 'mount', 0.3, 1.0),
            'wrong_spline' => AnyCable::spoilt('spline', 1.0, 1.0),
            'bent_bracket' => AnyCable::spoilt('bracket', 0.3, 1.0, 'mount', 0.6, 1.4),
            'weak_return' => AnyCable::spoilt('arm_spring', 0.5, 1.0, 'spring_lost', 0.4, 0.9),
            'wrong_oil' => AnyCable::spoilt('oil', 0.2, 0.5),
            'worn_plates' => AnyCable::spoilt('plates', 0.2, 0.5, 'rate', -0.8, -0.2),
            'notched_basket' => AnyCable::spoilt('notch', 0.4, 1.0),
            'tired_springs' => AnyCable::spoilt('springs', 0.2, 0.45),
            'worn_rod' => AnyCable::spoilt('rod_worn', 0.25, 0.6, 'grown', 0.5, 2.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        $play = $is->play();
        $lift = 1.0 - 0.28 * max(0.0, $play) - $is->of('rod_worn') - 1.1 * $is->of('spline') - 0.3 * $is->of('bracket');
        $held = 0.35 * max(0.0, -1.0 - $play) + $is->of('rod_gap_gone');
        $holds = (1.0 - $is->of('springs')) * (1.0 - $is->of('oil')) * (1.0 - $is->of('plates')) * (1.0
            - $held
            - 0.2 * $is->of('notch'));
        $needs = 0.5 + 0.45 * $is->of('notch') + 0.15 * $is->of('oil');

        return [
            'slips' => $holds < 0.85,
            'creeps_in' => $lift < $needs,
            'hard_to_shift' => $lift < $needs + 0.08,
            'bites_early' => $play > 1.1,
            'bites_late' => $held > 0.15 || $is->of('plates') > 0.4,
            'soft' => $is->of('spline') > 0.5,
        ];
    }

    public function looks(WornControl $is): array
    {
        $play = $is->play();

        return [
            'heat' => $is->of('heat') === 0.0 ? null : 'other',
            'springs_felt' => $is->of('spline') > 0.5 ? 'return_only' : null,
            // A taut wire loads the arm; so does a rod that is pressed without a gap.
            'arm_free' => $is->sees(max(-1.0 - $play, 2.0 * $is->of('rod_gap_gone')), 0.05, 0.1) ? 'no' : null,
            'perch' => $is->sees($is->of('barrel_loose'), 0.3, 0.1) ? 'loose' : null,
            'arm' => match (true) {
                $is->sees($is->of('bracket'), 0.2, 0.06) => 'bent',
                $is->sees($is->of('arm_spring'), 0.3, 0.08) => 'weak_spring',
                default => null,
            },
            'oil' => $is->of('oil') > 0.0 ? 'wrong' : null,
            'arm_mark' => $is->of('spline') > 0.5 ? 'off' : null,
            'rod_gap' => $is->of('rod_gap_gone') > 0.1 ? 'none' : null,
            'rod' => $is->sees($is->of('rod_worn'), 0.12, 0.04) ? 'worn' : null,
            'basket' => $is->sees($is->of('notch'), 0.2, 0.06) ? 'notched' : null,
            'plates' => $is->sees($is->of('plates'), 0.12, 0.03) ? 'worn' : null,
            'springs' => $is->sees($is->of('springs'), 0.1, 0.03) ? 'short' : null,
        ];
    }
}
