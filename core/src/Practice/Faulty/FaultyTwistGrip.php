<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** A drum, one wire or two, a butterfly and its spring: what opens it, and whether it comes back. */
final readonly class FaultyTwistGrip implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...AnyCable::faults(),
            ...AnyCable::settings(),
            'closing_tight' => AnyCable::spoilt('closing', -2.6, -1.3),
            'closing_loose' => AnyCable::spoilt('closing', 1.6, 3.6),
            'grip_binds' => AnyCable::spoilt('stiff', 0.6, 1.4, 'grip', 0.4, 1.0),
            'routed_tight' => AnyCable::spoilt('steer', 1.4, 3.0),
            'weak_spring' => AnyCable::spoilt('spring_lost', 0.55, 0.95),
            'out_of_groove' => AnyCable::spoilt('groove', 0.5, 1.5, 'mount', 0.3, 0.9),
            'rubber_turns' => AnyCable::spoilt('rubber', 0.3, 0.8),
            'sticking_throttle' => AnyCable::spoilt('pivot', 0.5, 1.2),
            'bent_bracket' => AnyCable::spoilt('bracket', 0.3, 1.0, 'mount', 0.5, 1.3),
        ];
    }

    public function notices(WornControl $is): array
    {
        $play = $is->play();
        $turned = $play - $is->of('steer');
        $back = (1.0 - $is->of('spring_lost')) / $is->drag();
        $resists = 0.35 + 0.55 * $is->of('stiff') + 0.75 * $is->of('pivot') + 0.3 * max(0.0, -1.0 - $is->of('closing'));

        return [
            'stays_open' => $back < $resists || $play < -1.9 || $is->of('groove') > 0.9 || $is->of('closing') > 2.4,
            'no_spring_back' => $back < $resists + 0.1,
            'idle_rises' => $turned < -1.5,
            'not_wide_open' => $play > 1.7 || $is->of('rubber') > 0.35 || $is->of('closing') < -1.9,
            'dead_travel' => $play > 1.15 || $is->of('rubber') > 0.45,
            'heavy' => $is->drag() * (1.0
                + $is->of('stiff')
                + 0.5 * $is->of('pivot')
                + 0.35 * max(0.0, -1.0 - $is->of('closing'))) > 1.45,
            'jerky' => $play > 1.5,
        ];
    }

    public function looks(WornControl $is): array
    {
        $play = $is->play();

        return [
            'groove' => $is->sees($is->of('groove'), 0.3, 0.1) || $is->of('closing') > 2.4 ? 'out' : null,
            'spring' => $is->sees($is->of('spring_lost'), 0.4, 0.08)
                ? 'weak'
                : ($is->sees($is->of('bracket'), 0.2, 0.06) ? 'bent' : null),
            'grip' => $is->sees($is->of('grip'), 0.25, 0.08)
                ? 'binds'
                : ($is->sees($is->of('rubber'), 0.2, 0.06) ? 'slips' : null),
            'steering' => $is->reads(min($play, $play - $is->of('steer'))) === 'tight' ? 'tight' : null,
            'closing' => $is->reads($is->of('closing')),
            'butterfly' => $is->sees($play - 1.0, 0.5, 0.25) || $is->of('closing') < -1.9 ? 'short' : null,
            'throttle_pivot' => $is->sees($is->of('pivot'), 0.3, 0.08) ? 'sticks' : null,
        ];
    }
}
