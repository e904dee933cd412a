<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Cable\LockCreep;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\MoveMade;
use VividPull\Core\Facts\ReadAt;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Family\Families;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\Wheels;

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
            return Beliefs::ofNoPlay($facts->standing->creep);
        }
        $learning = new self($spec, $run, $facts, self::turns($run, $facts));
        $play = TaughtPlay::startingFrom(self::prior($spec, $run, $facts), 0.0, $learning->firstWay());
        [$creep, $last, $surprises, $astray, $used] = [$facts->standing->creep, null, [], [], 0];
        $wheels = self::standsOn($facts);
        foreach ($facts->readings->groups as $group) {
            if (! self::teaches($spec, $group) || $group->first()->wheels !== $wheels) {
                continue;
            }
            $play = $learning->moved($play, $creep, $last?->at, $group->at);
            $answer = $group->isTaut()
                ? $play->givenTaut($group->found->mean, $group->found->standardOfDifference())
                : $play->given($group->found->mean, $group->found->standardOfDifference());
            if ($answer instanceof Surprise) {
                $surprises[] = ['group' => $group, 'surprise' => $answer];
                $astray = self::ofThisSeries($astray, $last, $group->at);
                $astray[] = $answer->share($last->found->mean ?? 0.0);
                $play = self::anew($play, $group);
            } else {
                [$play, $astray] = [$answer, []];
            }
            $creep = $last !== null && self::isLockedPair($last, $group)
                ? $creep->with(($group->found->mean - $last->found->mean) / $play->ratio())
                : $creep;
            $last = $group;
            $used++;
        }

        $now = $facts->readings->at();
        $play = $learning->moved($play, $creep, $last?->at, $now);

        return new Beliefs($play, $surprises, $used, $creep, self::ofThisSeries($astray, $last, $now));
    }

    /**
     * What went astray before something was put right says nothing of what goes astray after it.
     *
     * @param  list<float>  $astray
     * @return list<float>
     */
    private static function ofThisSeries(array $astray, ?ReadingGroup $last, ReadAt $to): array
    {
        return $last?->at->series === $to->series ? $astray : [];
    }

    /**
     * @param  list<float>  $turns  slack given by each move in mm of conduit; 0 where it moved no play of this cable
     */
    private function __construct(private Spec $spec, private Run $run, private Facts $facts, private array $turns) {}

    /** From one reading to the next: what was moved and locked in between. */
    private function moved(TaughtPlay $play, LockCreep $creep, ?ReadAt $last, ReadAt $to): TaughtPlay
    {
        $from = $last ?? ReadAt::opening();
        if ($to->series !== $from->series) {
            return TaughtPlay::startingFrom(
                self::after($play, $this->spec, $this->run, $this->facts, $from->series, $to->series),
                $to->slack,
                $this->wayBefore($to->moves),
            );
        }
        $rest = $to->slack - $from->slack;
        for ($move = $from->moves; $move < $to->moves; $move++) {
            $play = $play->after($this->turns[$move]);
            $rest -= $this->turns[$move];
        }
        if (abs($rest) > 1e-9) {
            // It came by a guided adjuster, or by setting one anew, and was not turned at a thread.
            $play = $play->shaken($rest, 0.0);
        }
        $locks = ($to->setting - $from->setting) - ($to->moves - $from->moves);

        return $last === null || $locks < 1
            ? $play
            : $play->shaken($locks * $creep->mean(), sqrt($locks) * $creep->deviation());
    }

    /**
     * From which side it was found: nobody knows, so the first move is taken for one more the same way, and only
     * turning back can tell of sides.
     */
    private function firstWay(): float
    {
        return self::way(
            array_values(array_filter($this->turns, static fn (float $turn): bool => $turn !== 0.0))[0] ?? 0.0,
        );
    }

    private function wayBefore(int $moves): float
    {
        for ($place = $moves - 1; $place >= 0; $place--) {
            if (($this->turns[$place] ?? 0.0) !== 0.0) {
                return self::way($this->turns[$place]);
            }
        }

        return $this->firstWay();
    }

    private static function way(float $turn): float
    {
        return (float) ($turn <=> 0.0);
    }

    /** @return list<float> */
    private static function turns(Run $run, Facts $facts): array
    {
        $adjusters = $run->playAdjusters();

        return array_map(
            static fn (MoveMade $move): float => $move->entry->steps === null
                || ! isset($adjusters[$move->entry->adjuster])
                ? 0.0
                : $adjusters[$move->entry->adjuster]->slackGiven($move->entry->steps),
            $facts->readings->moves,
        );
    }

    /** Read before a lock and after it, with nothing else in between: what the lock did. */
    private static function isLockedPair(ReadingGroup $before, ReadingGroup $after): bool
    {
        return $before->at->series === $after->at->series
            && $before->at->moves === $after->at->moves
            && $after->at->setting === $before->at->setting + 1
            && ! $before->isTaut() && ! $after->isTaut();
    }

    public static function prior(Spec $spec, Run $run, Facts $facts): RatioPrior
    {
        // What was measured on this machine wins over what its readings seemed to tell before.
        $point = $spec->play()->point;
        $taught = $run->hand->isMeasuredAt($point) ? null : $facts->standing->taughtAt($point);

        return $taught ?? self::drawn($spec, $run);
    }

    /** What is handed on from one series to the next: all that was taught, unless a new part has made a new ratio. */
    private static function after(TaughtPlay $play, Spec $spec, Run $run, Facts $facts, int $from, int $to): RatioPrior
    {
        return $from < $facts->readings->ratioFrom && $to >= $facts->readings->ratioFrom
            ? self::drawn($spec, $run)
            : $play->taught();
    }

    /** What the drawing, or the family, says of R before anything was read. */
    public static function drawn(Spec $spec, Run $run): RatioPrior
    {
        $point = $spec->play()->point;

        return RatioPrior::fromCoupling(
            $run->couplings->at($point) ?? Families::of($spec->family)->usualRatio($point),
        )->widenedBy($run->stepKnowledge()?->spread() ?? 0.0);
    }

    private static function teaches(Spec $spec, ReadingGroup $group): bool
    {
        $reading = $group->first();

        return $group->doubt === null
            && $group->isAt($spec->play()->point)
            && $reading->pose === Pose::Straight
            && ! $group->at->crossed
            && ($spec->conditions->objection($reading->engine, $reading->wheels) === null
                || $spec->conditions->areProvisional($reading->engine, $reading->wheels));
    }

    /**
     * How the machine stands: on a stand a cable lies otherwise than on the ground, so only readings of the one last
     * read in go together.
     */
    private static function standsOn(Facts $facts): ?Wheels
    {
        return $facts->readings->groups === []
            ? null
            : $facts->readings->groups[count($facts->readings->groups) - 1]->first()->wheels;
    }

    /** After a surprise the level starts from the reading that could not be believed; it taught nothing of R. */
    private static function anew(TaughtPlay $play, ReadingGroup $group): TaughtPlay
    {
        $fresh = TaughtPlay::startingFrom($play->taught(), $group->at->slack);
        if ($group->isTaut()) {
            return $fresh;
        }
        $placed = $fresh->given($group->found->mean, $group->found->standardOfDifference());

        return $placed instanceof Surprise ? $fresh : $placed;
    }
}
