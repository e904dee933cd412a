<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Bench\Facts;
use VividPull\Core\Bench\ReadingGroup;
use VividPull\Core\Cable\CouplingRatio;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Run;
use VividPull\Core\Spec\Spec;

/**
 * From reading groups to belief. Only groups at the spec's own point, straight, in its conditions, and read by someone
 * who had seen every move teach; a taut one teaches no more than that play is not above it;
 * a broken comparison starts the level anew and keeps what was learned of R.
 */
final readonly class Learning
{
    public static function believe(Spec $spec, Run $run, Facts $facts): Beliefs
    {
        if ($spec->aim === null) {
            return new Beliefs(TaughtPlay::startingFrom(RatioPrior::fromCoupling(CouplingRatio::of(1.0, Knowledge::Default)), 0.0), [], 0);
        }
        $play = TaughtPlay::startingFrom(self::prior($spec, $run, $facts), 0.0);
        $slack = 0.0;
        $stretch = 0;
        $surprises = [];
        $used = 0;
        foreach ($facts->groups as $group) {
            if (! self::teaches($spec, $group)) {
                continue;
            }
            $play = $group->stretch === $stretch
                ? $play->after($group->slack - $slack)
                : TaughtPlay::startingFrom(self::after($play, $spec, $run, $facts, $stretch, $group->stretch), $group->slack);
            [$slack, $stretch] = [$group->slack, $group->stretch];
            $answer = $group->isTaut()
                ? $play->givenTaut($group->found->mean, $group->found->standardOfDifference())
                : $play->given($group->found->mean, $group->found->standardOfDifference());
            if ($answer instanceof Surprise) {
                $surprises[] = ['group' => $group, 'surprise' => $answer];
                $play = self::anew($play, $group);
            } else {
                $play = $answer;
            }
            $used++;
        }
        $now = $facts->stretch === $stretch
            ? $play->after($facts->slack - $slack)
            : TaughtPlay::startingFrom(self::after($play, $spec, $run, $facts, $stretch, $facts->stretch), $facts->slack);

        return new Beliefs($now, $surprises, $used);
    }

    public static function prior(Spec $spec, Run $run, Facts $facts): RatioPrior
    {
        return $facts->standing->taughtAt($spec->play()->point) ?? self::drawn($spec, $run);
    }

    /** What is handed on from one stretch to the next: all that was taught, unless a new part has made a new ratio. */
    private static function after(TaughtPlay $play, Spec $spec, Run $run, Facts $facts, int $from, int $to): RatioPrior
    {
        return $from < $facts->ratioFrom && $to >= $facts->ratioFrom ? self::drawn($spec, $run) : $play->taught();
    }

    private static function drawn(Spec $spec, Run $run): RatioPrior
    {
        $point = $spec->play()->point;

        return RatioPrior::fromCoupling(
            $run->couplings->at($point) ?? $spec->family->family()->usualRatio($point),
        )->widenedBy($run->stepKnowledge()?->spread() ?? 0.0);
    }

    private static function teaches(Spec $spec, ReadingGroup $group): bool
    {
        $reading = $group->first();

        return $group->isAt($spec->play()->point) && $reading->pose === Pose::Straight && ! $group->crossed
            && $spec->conditions->objection($reading->engine, $reading->wheels) === null;
    }

    /** After a surprise the level starts from the reading that could not be believed; it taught nothing of R. */
    private static function anew(TaughtPlay $play, ReadingGroup $group): TaughtPlay
    {
        $fresh = TaughtPlay::startingFrom($play->taught(), $group->slack);
        if ($group->isTaut()) {
            return $fresh;
        }
        $placed = $fresh->given($group->found->mean, $group->found->standardOfDifference());

        return $placed instanceof Surprise ? $fresh : $placed;
    }
}
