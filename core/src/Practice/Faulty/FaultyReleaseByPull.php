<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** A clutch that its handle parts: a lining that wears takes the play, a spring presses. */
final readonly class FaultyReleaseByPull implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...AnyCable::faults(),
            ...AnyCable::settings(),
            'stretched_belt' => AnyCable::spoilt('belt', 0.25, 0.6, 'rate', 0.3, 0.9),
            'worn_lining' => AnyCable::spoilt('lining', 0.25, 0.6, 'rate', -0.8, -0.2),
            'broken_spring' => AnyCable::spoilt('pressed', 0.3, 0.8, 'spring_lost', 0.7, 1.0),
            'bolts_used_up' => AnyCable::spoilt('thread', 1.0, 1.0),
            'belt_off' => AnyCable::spoilt('belt_off', 1.0, 1.0),
            'nut_loose' => AnyCable::spoilt('mount', 0.6, 1.5, 'nut', 1.0, 1.0),
            'slipping_clamp' => AnyCable::spoilt('mount', 0.5, 1.4, 'clamp', 1.0, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        $play = $is->play();
        $holds = self::holds($is);
        $lift = 1.0 - 0.28 * max(0.0, $play);

        return [
            'weak' => $holds < 0.82,
            'slips' => $holds < 0.86 && $is->of('belt_off') < 0.5,
            'creeps_in' => $lift < 0.62,
            'hard_to_shift' => $lift < 0.55,
        ];
    }

    public function looks(WornControl $is): array
    {
        $play = $is->play();
        $holds = self::holds($is);

        return [
            'rest' => $is->sees($play - 2.0, 0.1, 0.2) ? 'held' : null,
            'nuts' => $is->of('nut') > 0.5 ? 'slack' : null,
            'belt' => $is->of('belt_off') > 0.5 ? 'off' : ($is->sees($is->of('belt'), 0.15, 0.05) ? 'worn' : null),
            'lining' => $is->sees($is->of('lining'), 0.15, 0.05) ? 'worn' : null,
            'spring' => $is->sees($is->of('spring_lost'), 0.5, 0.1) ? 'broken' : null,
            'load' => $is->sees(0.9 - $holds, 0.05, 0.05) ? 'slips' : null,
            'clamp' => $is->of('clamp') > 0.5 ? 'slips' : null,
        ];
    }

    /** What the clutch carries, as a share. */
    private static function holds(WornControl $is): float
    {
        $held = 0.4 * max(0.0, -1.0 - $is->play());

        return $is->of('belt_off') > 0.5
            ? 0.0
            : (1.0 - $held) * (1.0 - $is->of('lining')) * (1.0 - $is->of('belt')) * (1.0 - $is->of('pressed'));
    }
}
