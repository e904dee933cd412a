<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** Any other control by cable: it draws something, and something draws it back. */
final readonly class FaultyOtherControl implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...AnyCable::faults(),
            ...AnyCable::settings(),
            'bent_bracket' => AnyCable::spoilt('bracket', 0.3, 1.0, 'mount', 0.5, 1.3),
            'broken_spring' => AnyCable::spoilt('spring_lost', 0.75, 1.0),
            'worn_adjuster' => AnyCable::spoilt('barrel_loose', 0.5, 1.0, 'mount', 0.3, 0.9),
            'stiff_end' => AnyCable::spoilt('stiff', 0.7, 1.4, 'end', 0.4, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        $play = $is->play();

        return [
            'creeps_out' => $play < -1.6 || ! $is->springsBack(),
            'drags' => $play < -1.1 || ! $is->springsBack(),
            'does_not_hold' => $play + 0.5 * $is->of('bracket') > 1.5,
        ];
    }

    public function looks(WornControl $is): array
    {
        return [
            'bracket' => $is->sees($is->of('bracket'), 0.2, 0.06) ? 'bent' : null,
            'spring' => $is->sees($is->of('spring_lost'), 0.5, 0.1) ? 'broken' : null,
            'barrel' => $is->sees($is->of('barrel_loose'), 0.3, 0.1) ? 'loose' : null,
            'end' => $is->sees($is->of('end'), 0.25, 0.08) ? 'stiff' : null,
        ];
    }
}
