<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** A trigger, a wire and a carburettor barrel, and a clutch that takes hold with the speed. */
final readonly class FaultyTriggerThrottle implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...AnyCable::faults(),
            ...AnyCable::settings(),
            'idle_high' => AnyCable::spoilt('idle', 0.2, 0.7),
            'bent_bracket' => AnyCable::spoilt('bracket', 0.3, 1.0, 'mount', 0.5, 1.3),
            'end_out' => AnyCable::spoilt('keyhole', 0.5, 1.0, 'slack', 0.5, 2.0),
            'joint_off' => AnyCable::spoilt('joint', 0.5, 1.0, 'slack', 1.0, 3.0),
            'sticking_trigger' => AnyCable::spoilt('stiff', 0.5, 1.3, 'trigger', 0.4, 1.0),
            'clutch_spring' => AnyCable::spoilt('head', 1.0, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        $play = $is->play();
        $speed = 1.0
            + $is->of('idle')
            + 0.4 * max(0.0, -1.0 - $play)
            + ($is->springsBack() ? 0.0 : 0.3)
            + ($is->of('keyhole') > 0.6 ? 0.3 : 0.0);

        return [
            'not_wide_open' => $play > 1.1,
            'stays_open' => ! $is->springsBack() || $play < -1.9 || $is->of('keyhole') > 0.6,
            'creeps_out' => $speed > 1.25 || $is->of('head') > 0.5,
        ];
    }

    public function looks(WornControl $is): array
    {
        $play = $is->play();

        return [
            'keyhole' => $is->of('keyhole') > 0.3 ? 'out' : null,
            'bracket' => $is->sees($is->of('bracket'), 0.2, 0.06) ? 'bent' : null,
            'trigger' => $is->sees($is->of('trigger'), 0.25, 0.08) ? 'sticks' : null,
            'barrel' => $is->sees($play - 1.0, 0.1, 0.2) ? 'short' : null,
            'idle_screw' => $is->sees($is->of('idle'), 0.12, 0.05) ? 'high' : null,
            'head' => $is->of('head') > 0.5 ? 'broken' : null,
            'joint' => $is->of('joint') > 0.3 ? 'off' : null,
        ];
    }
}
