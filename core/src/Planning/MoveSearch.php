<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Bench\Facts;
use VividPull\Core\Bench\Judgement;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Learning\TaughtPlay;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Quantity\Turns;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/**
 * The best whole-step move of one adjuster.
 *
 * Candidates are moves after which the next reading would be called inside with at least 95 % chance; if there is
 * none, those within 0.02 of the best chance. The nearest to the target wins, then the smaller move. The first move of
 * a job may pass the far edge with at most 5 % chance.
 */
final readonly class MoveSearch
{
    private const SURE = 0.95;

    private const NEAR_BEST = 0.02;

    private const OVERSHOOT = 0.05;

    private const COVERAGE = 0.95;

    /** @param  array{float, float}|null  $accepted  readings that would be called inside */
    private function __construct(
        private TaughtPlay $play,
        private SpecBand $band,
        private ?array $accepted,
        private float $noise,
        public ?float $target,
        private bool $first,
    ) {}

    public static function for(Spec $spec, Facts $facts, TaughtPlay $play, Judgement $judgement, SpecBand $band): self
    {
        $found = $judgement->nowGroup?->found;

        return new self(
            $play,
            $band,
            Conformity::acceptance($band, $found?->standard() ?? 0.0, $spec->rule),
            $found?->standardOfNext() ?? 0.0,
            Planner::target($band, $facts->policy ?? $spec->policy),
            ! $play->hasLearned(),
        );
    }

    public function with(Adjuster $adjuster, Facts $facts): AdjusterAdvice
    {
        $at = $facts->positions[$adjuster->id()] ?? null;
        $candidates = $this->candidates($adjuster, $at);
        $chosen = $this->choose($adjuster, $candidates);
        if ($chosen === null) {
            return $this->used($adjuster, $candidates);
        }
        $steps = Turns::fromCount($chosen['count']);
        $shift = $adjuster->slackGiven($steps);
        $expected = $this->play->expected($shift);
        $range = $this->play->range(self::COVERAGE, $shift, $this->noise);
        $after = $at?->plus($steps);
        $left = ThreadLeft::after($adjuster, $after, $steps);

        return AdjusterAdvice::move(
            $adjuster->id(),
            $steps,
            $expected,
            [max(0.0, $range[0]), $range[1]],
            $chosen['chance'],
            $left,
            $after === null || $adjuster->healthy()->contains($after),
            $this->say($adjuster, $steps, $expected, $range, $left),
        );
    }

    /** @return list<int> whole steps in 720ths of a turn, within the thread; at most one turn where it is unknown */
    private function candidates(Adjuster $adjuster, ?Turns $at): array
    {
        $step = $adjuster->smallestStep()->count;
        $in = $at === null ? Turns::PER_TURN : $at->count;
        $out = $at === null ? Turns::PER_TURN : $adjuster->travel()->to->count - $at->count;
        $candidates = [];
        for ($n = -intdiv(max(0, $in), $step); $n <= intdiv(max(0, $out), $step); $n++) {
            if ($n !== 0) {
                $candidates[] = $n * $step;
            }
        }

        return $candidates;
    }

    /**
     * @param  list<int>  $candidates
     * @return array{count: int, chance: float}|null null when the thread ends before the band begins
     */
    private function choose(Adjuster $adjuster, array $candidates): ?array
    {
        usort($candidates, fn (int $a, int $b): int => [$this->distance($adjuster, $a), abs($a)] <=> [$this->distance($adjuster, $b), abs($b)]);
        $weighed = [];
        foreach ($candidates as $count) {
            $shift = $adjuster->slackGiven(Turns::fromCount($count));
            if ($this->first && $this->overshoots($shift)) {
                continue;
            }
            $chance = $this->chance($shift);
            if ($chance >= self::SURE) {
                return ['count' => $count, 'chance' => $chance];
            }
            $weighed[] = ['count' => $count, 'chance' => $chance];
        }

        return $this->nearBest($adjuster, $weighed);
    }

    /**
     * @param  list<array{count: int, chance: float}>  $weighed  nearest to the target first
     * @return array{count: int, chance: float}|null
     */
    private function nearBest(Adjuster $adjuster, array $weighed): ?array
    {
        $best = $weighed === [] ? 0.0 : max(array_column($weighed, 'chance'));
        foreach ($weighed as $candidate) {
            if ($candidate['chance'] >= $best - self::NEAR_BEST) {
                return $this->bringsInside($adjuster, $candidate['count']) || $this->first && $best > 0.0 ? $candidate : null;
            }
        }

        return null;
    }

    private function bringsInside(Adjuster $adjuster, int $count): bool
    {
        return $this->band->contains($this->play->expected($adjuster->slackGiven(Turns::fromCount($count))));
    }

    private function chance(float $shift): float
    {
        [$from, $to] = $this->accepted ?? [$this->band->floor(), $this->band->ceiling()];
        $mean = $this->play->expected($shift);
        $reach = 6 * $this->play->deviation($shift, $this->noise);
        if ($mean + $reach < $from || $mean - $reach > $to) {
            return 0.0;
        }

        return $this->play->chanceBetween($from, $to, $shift, $this->noise);
    }

    private function overshoots(float $shift): bool
    {
        $now = $this->play->expected(0.0);
        $passed = match (true) {
            $now > $this->band->ceiling() => $this->play->chanceBetween(-INF, $this->band->floor(), $shift, 0.0),
            $now < $this->band->floor() && $this->band->high !== null => 1 - $this->play->chanceBetween(-INF, $this->band->high, $shift, 0.0),
            default => 0.0,
        };

        return $passed > self::OVERSHOOT;
    }

    /** mm from the target; with no high edge, the size of the move itself, so that the smallest good one wins. */
    private function distance(Adjuster $adjuster, int $count): float
    {
        $shift = $adjuster->slackGiven(Turns::fromCount($count));

        return $this->target === null ? abs($shift) : abs($this->play->expected($shift) - $this->target);
    }

    /** @param  list<int>  $candidates */
    private function used(Adjuster $adjuster, array $candidates): AdjusterAdvice
    {
        $now = $this->play->expected(0.0);
        $expected = array_map(fn (int $count): float => $this->play->expected($adjuster->slackGiven(Turns::fromCount($count))), $candidates);
        $best = array_reduce($expected, fn (float $best, float $one): float => abs($this->band->beyond($one)) < abs($this->band->beyond($best)) ? $one : $best, $now);
        $way = $now > $this->band->ceiling() ? 'take up' : 'give';

        return AdjusterAdvice::outOfThread(
            $adjuster->id(),
            $best,
            $adjuster->name().': not enough thread to '.$way.' the slack; at its end it would still read about '.self::figure(max(0.0, $best)).' mm.',
        );
    }

    /** @param  array{float, float}  $range */
    private function say(Adjuster $adjuster, Turns $steps, float $expected, array $range, ?float $left): string
    {
        return "{$adjuster->name()}, {$adjuster->say($steps)}; expect ".self::figure(max(0.0, $expected)).' mm ('.self::figure(max(0.0, $range[0]))
            .' to '.self::figure($range[1]).'); '.($left === null ? 'thread left is not known' : self::figure($left).' mm of thread left after').'.';
    }

    private static function figure(float $mm): string
    {
        return number_format($mm, 1, '.', '');
    }
}
