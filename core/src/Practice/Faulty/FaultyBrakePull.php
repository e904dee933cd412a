<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** Shoes in a drum and the arm of their cam: what they hold, and whether they let go. */
final readonly class FaultyBrakePull implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...AnyCable::faults(),
            ...AnyCable::settings(),
            'worn_shoes' => AnyCable::spoilt('shoes', 0.3, 0.8, 'rate', 0.4, 0.9),
            'oily_shoes' => AnyCable::spoilt('oil', 0.3, 0.8),
            'weak_spring' => AnyCable::spoilt('spring_lost', 0.7, 1.0),
            'stiff_cam' => AnyCable::spoilt('stiff', 0.7, 1.4, 'cam', 0.4, 1.0),
            'slipping_clamp' => AnyCable::spoilt('mount', 0.7, 1.5, 'clamp', 1.0, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        $play = self::play($is);
        $holds = (1.0 - $is->of('oil')) * (1.0 - 0.5 * $is->of('shoes')) * (1.0 - 0.22 * max(0.0, $play - 0.8));

        return [
            'does_not_hold' => $holds < 0.82,
            'drags' => $play < -1.1 || ! $is->springsBack(),
            'end_of_thread' => $is->of('thread') > 0.5 || $is->of('shoes') > 0.55,
            'dead_travel' => false, 'wobbles' => false,
        ];
    }

    public function looks(WornControl $is): array
    {
        $play = self::play($is);

        return [
            'play' => $is->reads($play),
            'arm' => $is->sees($is->of('shoes'), 0.35, 0.1)
                ? 'past'
                : ($is->sees($is->of('spring_lost'), 0.5, 0.1) ? 'spring' : null),
            'shoes' => $is->sees($is->of('shoes'), 0.2, 0.06)
                ? 'worn'
                : ($is->sees($is->of('oil'), 0.2, 0.06) ? 'oily' : null),
            'clamp' => $is->of('clamp') > 0.5 ? 'slips' : null,
            'turn' => $is->sees(max(-1.0 - $play, $is->springsBack() ? 0.0 : 0.4), 0.05, 0.1) ? 'drags' : null,
            'pivot' => $is->sees($is->of('cam'), 0.25, 0.08) ? 'stiff' : null,
        ];
    }

    /** Play of the cable and what the shoes have lost. */
    private static function play(WornControl $is): float
    {
        return $is->play() + 1.6 * $is->of('shoes');
    }
}
