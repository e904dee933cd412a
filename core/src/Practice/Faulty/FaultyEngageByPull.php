<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** A clutch that its handle draws in: slack costs pull, tightness holds it in. */
final readonly class FaultyEngageByPull implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...AnyCable::faults(),
            ...AnyCable::settings(),
            'worn_lining' => AnyCable::spoilt('lining', 0.25, 0.6),
            'bolts_used_up' => AnyCable::spoilt('thread', 1.0, 1.0, 'grown', 0.4, 2.0),
            'belt_off' => AnyCable::spoilt('belt_off', 1.0, 1.0),
            'nut_loose' => AnyCable::spoilt('mount', 0.6, 1.5, 'nut', 1.0, 1.0),
            'slipping_clamp' => AnyCable::spoilt('mount', 0.5, 1.4, 'clamp', 1.0, 1.0),
            'stretched_belt' => AnyCable::spoilt('belt', 0.5, 1.8, 'rate', 0.3, 0.9),
            'broken_spring' => AnyCable::spoilt('spring_lost', 0.75, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        $slack = self::slack($is);
        $holds = self::holds($is);

        return [
            'weak' => $holds < 0.82,
            'slips' => $holds < 0.85 && $is->of('belt_off') < 0.5,
            'creeps_out' => $slack < -1.1 || ! $is->springsBack(),
            'hard_to_pull_back' => $slack < -1.3,
            'dead_travel' => $slack > 1.2,
        ];
    }

    public function looks(WornControl $is): array
    {
        $slack = self::slack($is);
        $holds = self::holds($is);

        return [
            // The handle has the belt's slack, too.
            'play' => $is->reads($slack),
            'rest' => $is->sees(max(-1.0 - $slack, $is->springsBack() ? 0.0 : 0.5), 0.1, 0.12) ? 'held' : null,
            'nuts' => $is->of('nut') > 0.5 ? 'slack' : null,
            'belt' => $is->of('belt_off') > 0.5 ? 'off' : ($is->sees($is->of('belt'), 0.3, 0.1) ? 'worn' : null),
            'lining' => $is->sees($is->of('lining'), 0.15, 0.05) ? 'worn' : null,
            'spring' => $is->sees($is->of('spring_lost'), 0.5, 0.1) ? 'broken' : null,
            'load' => $is->sees(0.9 - $holds, 0.05, 0.05) ? 'slips' : null,
            'clamp' => $is->of('clamp') > 0.5 ? 'slips' : null,
        ];
    }

    /** Play of the cable and of the belt together. */
    private static function slack(WornControl $is): float
    {
        return $is->play() + 0.7 * $is->of('belt');
    }

    /** What the clutch carries, as a share. */
    private static function holds(WornControl $is): float
    {
        $slack = self::slack($is);

        return ($is->of('belt_off') > 0.5 ? 0.0 : 1.0 - 0.25 * max(0.0, $slack - 0.6)) * (1.0 - $is->of('lining'));
    }
}
