<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** A belt that a hook draws tight: which hole it hangs in, what the idler spring takes up. */
final readonly class FaultyHookControl implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...AnyCable::faults(),
            ...AnyCable::settings(),
            'stretched_belt' => AnyCable::spoilt('belt', 0.6, 2.2, 'rate', 0.4, 0.9),
            'belt_off' => AnyCable::spoilt('belt_off', 1.0, 1.0),
            'broken_spring' => AnyCable::spoilt('spring_lost', 0.75, 1.0),
            'stiff_arm' => AnyCable::spoilt('stiff', 0.8, 1.5, 'arm', 0.4, 1.0),
            'worn_zbend' => AnyCable::spoilt('zbend', 0.4, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        $slack = self::slack($is);
        $tension = self::tension($is);

        return [
            'weak' => $tension < 0.82,
            'creeps_out' => $slack < -1.1
                || ! $is->springsBack()
                || ($is->of('belt_off') > 0.5 && $is->of('today') > -0.5),
            'again_and_again' => abs($is->of('rate')) > 0.35 || $is->of('zbend') > 0.7,
            'dead_travel' => false, 'play_changes' => false, 'end_of_thread' => false, 'wobbles' => false,
        ];
    }

    public function looks(WornControl $is): array
    {
        $slack = self::slack($is);
        $tension = self::tension($is);

        return [
            'spring' => $is->sees($is->of('spring_lost'), 0.5, 0.1)
                ? 'broken'
                : ($is->sees($is->of('arm'), 0.25, 0.08) ? 'stiff' : null),
            'belt' => $is->of('belt_off') > 0.5 ? 'off' : ($is->sees($is->of('belt'), 0.4, 0.12) ? 'worn' : null),
            'hole' => $is->sees($is->of('zbend'), 0.25, 0.08)
                ? 'worn'
                : ($is->sees(abs($is->of('slack')), 1.2, 0.3) ? 'wrong' : null),
            'rest' => $is->sees(-1.0 - $slack, 0.05, 0.1) ? 'tight' : null,
            'drive' => $slack < -1.1 || ! $is->springsBack()
                ? 'turns'
                : ($is->sees(0.86 - $tension, 0.05, 0.04) ? 'slips' : null),
        ];
    }

    /** Play of the cable, the belt and a worn end together. */
    private static function slack(WornControl $is): float
    {
        return $is->play() + $is->of('belt') + 0.5 * $is->of('zbend');
    }

    /** What the belt is drawn with, as a share. */
    private static function tension(WornControl $is): float
    {
        $slack = self::slack($is);

        return $is->of('belt_off') > 0.5
            ? 0.1
            : (1.0 - 0.3 * max(0.0, $slack - 0.5)) * (1.0 - 0.4 * $is->of('spring_lost'));
    }
}
