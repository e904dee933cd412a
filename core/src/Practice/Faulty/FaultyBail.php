<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** A bail that lifts a brake and closes a contact: a wire too long or a conduit too short leaves both half done. */
final readonly class FaultyBail implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...array_diff_key(AnyCable::faults(), ['shortened_conduit' => true, 'used_up' => true]),
            'shortened_conduit' => AnyCable::spoilt('poking_mm', 2.0, 6.0, 'length', -6.0, -2.0),
            'used_up' => AnyCable::spoilt('length', 2.0, 6.0, 'rate', 0.3, 0.9),
            'worn_lining' => AnyCable::spoilt('lining', 0.4, 1.0),
            'broken_peg' => AnyCable::spoilt('peg', 1.0, 1.0),
            'dirty_contact' => AnyCable::spoilt('dirt', 0.4, 1.0),
            'broken_spring' => AnyCable::spoilt('spring_lost', 0.8, 1.0),
            'no_spark' => AnyCable::spoilt('plug', 1.0, 1.0),
            'stiff_starter' => AnyCable::spoilt('starter', 0.4, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        $travel = self::travel($is);
        $stops = $is->springsBack() && $is->of('lining') < 0.35;

        return [
            'starts_sometimes' => $travel < 0.78 || $is->of('dirt') > 0.5 || $is->of('plug') > 0.5,
            'rope_hard' => $travel < 0.68 || $is->of('starter') > 0.3,
            'runs_on' => ! $stops || $is->of('dirt') > 0.85,
            'dead_travel' => false, 'play_changes' => false, 'end_of_thread' => false, 'wobbles' => false,
        ];
    }

    public function looks(WornControl $is): array
    {
        $travel = self::travel($is);

        return [
            'stop' => $is->springsBack() ? null : 'off',
            'peg' => $is->of('peg') > 0.5 ? 'broken' : null,
            'brake_off' => $is->sees(0.8 - $travel, 0.05, 0.05) ? 'drags' : null,
            'contact' => $is->sees(0.82 - $travel, 0.05, 0.05) ? 'half' : null,
            'lining' => $is->sees($is->of('lining'), 0.25, 0.08)
                ? 'worn'
                : ($is->sees($is->of('dirt'), 0.25, 0.08) ? 'dirty' : null),
            'spring' => $is->sees($is->of('spring_lost'), 0.5, 0.1) ? 'broken' : null,
            'length' => $is->sees(-$is->of('length'), 1.2, 0.4)
                ? 'short'
                : ($is->sees($is->of('length'), 1.2, 0.4) ? 'long' : null),
            'plug' => $is->of('plug') > 0.5 ? 'none' : null,
            'rope' => $is->sees($is->of('starter'), 0.25, 0.08) ? 'hard' : null,
        ];
    }

    /** How far the bail draws the brake and its contact, as a share. */
    private static function travel(WornControl $is): float
    {
        return 1.0
            - 0.14 * abs($is->of('length'))
            - 0.6 * $is->of('peg')
            - 0.12 * $is->standsOut()
            - 0.03 * $is->of('bends');
    }
}
