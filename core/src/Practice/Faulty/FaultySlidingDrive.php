<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** A handle that draws a belt tight: what it drives with, and what it holds when let go. */
final readonly class FaultySlidingDrive implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...AnyCable::faults(),
            ...AnyCable::settings(),
            'stretched_belt' => AnyCable::spoilt('belt', 0.6, 2.2, 'rate', 0.4, 0.9),
            'belt_off' => AnyCable::spoilt('belt_off', 1.0, 1.0),
            'broken_spring' => AnyCable::spoilt('spring_lost', 0.8, 1.0),
            'slipped_clamp' => AnyCable::spoilt('mount', 0.6, 1.4, 'slack', 0.8, 2.5),
            'drive_holds' => AnyCable::spoilt('wheels', 0.4, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        $slack = self::slack($is);
        $tension = $is->of('belt_off') > 0.5 ? 0.0 : 1.0 - 0.3 * max(0.0, $slack - 0.5) - 0.3 * $is->of('wheels');

        return [
            'weak' => $tension < 0.82,
            'creeps_out' => $slack < -1.1 || ! $is->springsBack(),
            'hard_to_pull_back' => $slack < -1.3 || $is->of('wheels') > 0.25,
            'dead_travel' => false, 'play_changes' => false, 'end_of_thread' => false, 'wobbles' => false,
        ];
    }

    public function looks(WornControl $is): array
    {
        $slack = self::slack($is);

        return [
            'creep' => $is->sees(max(-1.0 - $slack, $is->of('wheels') - 0.3), 0.1, 0.15) ? 'held' : null,
            'clamp' => $is->sees($is->of('mount'), 0.35, 0.1) ? 'slips' : null,
            'handle' => $is->sees($is->of('spring_lost'), 0.5, 0.1) ? 'falls' : null,
            'belt' => $is->of('belt_off') > 0.5 ? 'off' : ($is->sees($is->of('belt'), 0.4, 0.12) ? 'worn' : null),
            'grass' => $is->of('belt_off') > 0.5 || $is->sees($slack - 0.9, 0.2, 0.15)
                ? 'slow'
                : ($is->sees(-1.0 - $slack, 0.1, 0.15) ? 'creeps' : null),
            'wheels' => $is->sees($is->of('wheels'), 0.25, 0.08) ? 'worn' : null,
        ];
    }

    /** Play of the cable and of the belt together. */
    private static function slack(WornControl $is): float
    {
        return $is->play() + $is->of('belt');
    }
}
