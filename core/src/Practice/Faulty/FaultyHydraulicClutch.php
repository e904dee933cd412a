<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** Fluid between two pistons: what air and leaks take from the stroke. */
final readonly class FaultyHydraulicClutch implements FaultyFamily
{
    public function faults(): array
    {
        return [
            'air' => AnyCable::spoilt('air', 0.3, 0.8, 'fluid_lost', 0.0, 0.4),
            'leak' => AnyCable::spoilt('leak', 0.3, 1.0, 'fluid_lost', 0.1, 0.8),
            'worn_seal' => AnyCable::spoilt('seal', 0.35, 1.0),
            'old_fluid' => AnyCable::spoilt('dark', 0.5, 1.0, 'heat', 0.3, 0.9),
            'lever_binds' => AnyCable::spoilt('stiff', 0.5, 1.2, 'bound', 0.3, 0.9),
            'wrong_oil' => AnyCable::spoilt('oil', 0.2, 0.5),
            'worn_plates' => AnyCable::spoilt('plates', 0.2, 0.5),
        ];
    }

    public function notices(WornControl $is): array
    {
        // A seal passes more the longer it is held; air is compressed first.
        $lift = 1.0
            - 0.8 * $is->of('air')
            - 0.7 * $is->of('seal')
            - 0.6 * $is->of('leak')
            - 0.3 * max(0.0, $is->of('fluid_lost') - 0.4);
        // A lever that does not come home keeps the compensating hole shut, and the fluid presses.
        $held = 0.3 * $is->of('bound');

        return [
            'soft' => $is->of('air') > 0.2 || $is->of('leak') > 0.45 || $is->of('seal') > 0.6,
            'creeps_in' => $lift < 0.5,
            'hard_to_shift' => $lift < 0.58,
            'slips' => (1.0 - $is->of('oil')) * (1.0 - $is->of('plates')) * (1.0 - $held) < 0.85,
            'play_changes' => $is->of('air') > 0.25 || $is->varies() > 0.35,
            'end_of_thread' => false, 'again_and_again' => false, 'wobbles' => false, 'dead_travel' => false,
        ];
    }

    public function looks(WornControl $is): array
    {
        return [
            'fluid' => $is->sees($is->of('fluid_lost'), 0.3, 0.08)
                ? 'low'
                : ($is->sees($is->of('dark'), 0.4, 0.1) ? 'dark' : null),
            'lines' => $is->sees($is->of('leak'), 0.15, 0.06) ? 'wet' : null,
            'pump' => $is->sees($is->of('air'), 0.15, 0.06) ? 'harder' : null,
            'hold' => $is->sees(max($is->of('seal'), 0.8 * $is->of('leak')), 0.3, 0.08) ? 'sinks' : null,
            'lever' => $is->sees($is->of('bound'), 0.15, 0.06) ? 'binds' : null,
            'oil' => $is->of('oil') > 0.0 ? 'wrong' : null,
            'plates' => $is->sees($is->of('plates'), 0.12, 0.03) ? 'worn' : null,
        ];
    }
}
