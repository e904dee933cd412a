<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** A pedal, a governor with its spring and nut, a second cable to the carburettor, a belt and tyres. */
final readonly class FaultyPedalThrottle implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...AnyCable::faults(),
            ...AnyCable::settings(),
            'second_loose' => AnyCable::spoilt('second', 1.3, 3.0),
            'second_tight' => AnyCable::spoilt('second', -2.6, -1.3),
            'governor_nut' => AnyCable::spoilt('nut', 0.15, 0.5),
            'governor_raised' => AnyCable::spoilt('raised', 0.15, 0.5),
            'large_tyres' => AnyCable::spoilt('large', 0.1, 0.25),
            'governor_spring' => AnyCable::spoilt('governor', 0.2, 0.6),
            'pedal_sticks' => AnyCable::spoilt('stiff', 0.6, 1.4, 'pedal', 0.4, 1.0),
            'small_tyres' => AnyCable::spoilt('tyres', 0.1, 0.25),
            'worn_belt' => AnyCable::spoilt('belt', 0.15, 0.5),
            'weak_engine' => AnyCable::spoilt('engine', 0.15, 0.45),
        ];
    }

    public function notices(WornControl $is): array
    {
        $play = $is->play();
        $opens = 1.0
            - 0.22 * max(0.0, $play - 0.6)
            - 0.22 * max(0.0, $is->of('second') - 0.6)
            - 0.25 * $is->of('pedal');
        $speed = min($opens, 1.0 - $is->of('nut')) * (1.0
            - 0.6 * $is->of('governor')) * (1.0 - $is->of('tyres')) * (1.0 - $is->of('belt')) * (1.0 - $is->of('engine'));

        return [
            'low_top_speed' => $speed < 0.88,
            'too_fast' => $speed * (1.0 + $is->of('raised')) * (1.0 + $is->of('large')) > 1.06,
            'not_wide_open' => $opens < 0.85,
            'jerky' => $play < -1.1 || $is->of('second') < -1.2 || $is->of('belt') > 0.4 || $is->of('engine') > 0.35,
            'stays_open' => ! $is->springsBack() || $play < -2.0 || $is->of('second') < -1.6,
        ];
    }

    public function looks(WornControl $is): array
    {
        $play = $is->play();

        return [
            'pedal' => $is->sees($is->of('pedal'), 0.25, 0.08) ? 'sticks' : null,
            'second' => $is->reads($is->of('second')),
            'open' => $is->sees($play + max(0.0, $is->of('second')) - 1.0, 0.3, 0.2)
                ? 'short'
                : ($is->sees(-1.0 - $play, 0.1, 0.2) ? 'over' : null),
            'governor' => match (true) {
                $is->sees($is->of('governor'), 0.12, 0.04) => 'spring',
                $is->sees($is->of('raised'), 0.08, 0.03) => 'raised',
                $is->sees($is->of('nut'), 0.08, 0.03) => 'nut',
                default => null,
            },
            'tyre' => match (true) {
                $is->sees($is->of('tyres'), 0.05, 0.015) => 'small',
                $is->sees($is->of('large'), 0.05, 0.015) => 'large',
                default => null,
            },
            'belt' => $is->sees($is->of('belt'), 0.08, 0.03) ? 'worn' : null,
            'engine' => $is->sees($is->of('engine'), 0.08, 0.03) ? 'poor' : null,
        ];
    }
}
