<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Faulty;

/** An arm that slides dogs into notches: short of its notch, past it, or with teeth that have not met. */
final readonly class FaultyModeCables implements FaultyFamily
{
    public function faults(): array
    {
        return [
            ...array_diff_key(AnyCable::faults(), ['dry_cable' => true]),
            'short' => AnyCable::spoilt('at', -1.8, -0.7),
            'past' => AnyCable::spoilt('at', 0.7, 1.8),
            'unmet' => AnyCable::spoilt('unmet', 1.0, 1.0),
            'bent_arm' => AnyCable::spoilt('arm_bent', 0.4, 1.0, 'at', -1.2, 1.2),
            'dry_cable' => AnyCable::spoilt('friction', 0.3, 0.9, 'boots', 1.0, 1.0),
            'unequal_tyres' => AnyCable::spoilt('tyres', 0.4, 1.0),
            'dash_switch' => AnyCable::spoilt('dash', 1.0, 1.0),
        ];
    }

    public function notices(WornControl $is): array
    {
        $at = self::at($is);
        $lags = $is->of('unmet') > 0.5;

        return [
            'does_not_hold' => $at < -0.6 || $at > 1.2 || ($lags && $is->of('today') > -0.3),
            'bangs_on_unlocking' => ($lags && $is->of('today') < 0.6) || $is->of('tyres') > 0.5 || $is->drag() > 2.6,
            'dash_disagrees' => abs($at) > 0.7
                || $is->of('dash') > 0.5
                || ($lags && $is->of('today') > -0.6)
                || $is->drag() > 2.4,
            'hard_to_shift' => $is->drag() > 1.6 || $at > 1.4 || $is->of('tyres') > 0.45,
            'again_and_again' => $is->of('arm_bent') > 0.5 || abs($is->of('rate')) > 0.35,
            'no_spring_back' => false, 'dead_travel' => false, 'play_changes' => false, 'end_of_thread' => false,
            'wobbles' => false,
        ];
    }

    public function looks(WornControl $is): array
    {
        $at = self::at($is);
        $lags = $is->of('unmet') > 0.5;

        return [
            'arm' => $is->sees($is->of('arm_bent'), 0.25, 0.08) ? 'bent' : null,
            'park' => $at > 1.2 || ($lags && $is->of('today') > 0.2)
                ? 'turns'
                : ($is->sees(-$at, 0.6, 0.1) ? 'grates' : null),
            'turf' => $is->sees($at, 0.7, 0.15) ? 'grates' : ($at < -1.2 ? 'locked' : null),
            'two' => $is->sees(-$at, 0.6, 0.15) || ($lags && $is->of('today') < -0.2)
                ? 'free'
                : ($is->sees($at, 0.8, 0.15) ? 'locked' : null),
            'met' => $lags ? 'met' : null,
            'boots' => $is->of('boots') > 0.5 ? 'torn' : null,
            'tyres' => $is->sees($is->of('tyres'), 0.2, 0.06) ? 'differ' : null,
            'dash' => $is->of('dash') > 0.5 ? 'off' : null,
        ];
    }

    /** How far past its notch the arm stands, in notches; negative is short of it. */
    private static function at(WornControl $is): float
    {
        return $is->of('at') - 0.3 * $is->standsOut();
    }
}
