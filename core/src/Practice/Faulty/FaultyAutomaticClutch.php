<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** Shoes that fly out with the speed of the engine, and a shift lever that parts them by hand. */
final readonly class FaultyAutomaticClutch implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...array_diff_key(AnyCable::faults(), ['used_up' => true]),
            'idle_high' => AnyCable::spoilt('idle', 0.15, 0.6),
            'idle_low' => AnyCable::spoilt('idle', -0.5, -0.2),
            'wrong_oil' => AnyCable::spoilt('oil', 0.2, 0.5),
            'worn_shoes' => AnyCable::spoilt('shoes', 0.25, 0.6),
            'weak_springs' => AnyCable::spoilt('shoe_springs', 0.3, 0.7),
            'lever_binds' => AnyCable::spoilt('stiff', 0.5, 1.2, 'lever', 1.0, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        // The shoes touch at 1.4 times the idle speed; weak springs let them out sooner, a throttle held open raises
        // the speed.
        $speed = 1.0 + $is->of('idle') + ($is->springsBack() ? 0.0 : 0.3) + 0.12 * $is->standsOut();
        $touches = 1.3 * (1.0 - 0.5 * $is->of('shoe_springs'));

        return [
            'slips' => (1.0 - $is->of('oil')) * (1.0 - $is->of('shoes')) < 0.85,
            'creeps_out' => $speed + 0.4 * $is->of('oil') > $touches,
            'jerky' => $is->of('idle') < -0.25 || $is->of('shoes') > 0.3 || $is->of('shoe_springs') > 0.4,
            'hard_to_shift' => $speed > $touches || $is->of('lever') > 0.6,
        ];
    }

    public function looks(WornControl $is): array
    {
        return [
            'idle' => $is->sees($is->of('idle'), 0.1, 0.03)
                ? 'high'
                : ($is->sees(-$is->of('idle'), 0.12, 0.03) ? 'low' : null),
            'oil' => $is->of('oil') > 0.0 ? 'wrong' : null,
            'lever' => $is->sees($is->of('lever'), 0.3, 0.1) ? 'slack' : null,
            'shoes' => $is->sees($is->of('shoes'), 0.15, 0.04) ? 'worn' : null,
            'springs' => $is->sees($is->of('shoe_springs'), 0.15, 0.05) ? 'weak' : null,
        ];
    }
}
