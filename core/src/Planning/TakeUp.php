<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Parking;

/**
 * What the adjusters of a run can take up of a cable's slack from their slackest places on, and where each lands for
 * it. In mm at the wire.
 */
final readonly class TakeUp
{
    private function __construct(
        private Run $run,
        /** All of them together. */
        public float $whole,
        /**
         * The part of it within which none leaves its healthy zone; a clamp that notches its wire counts for nothing.
         */
        public float $healthy,
        /** What should be left for the cable to stretch: the reserve of the adjuster that needs most. */
        public float $stretch,
    ) {}

    public static function of(Run $run): self
    {
        [$whole, $healthy, $stretch] = [0.0, 0.0, 0.0];
        foreach ($run->playAdjusters() as $adjuster) {
            $whole += self::takes($adjuster);
            $healthy += $adjuster->kind()->isLastResort()
                ? 0.0
                : abs($adjuster->slackGiven(self::tightestHealthy($adjuster)->minus(self::slackest($adjuster))));
            $stretch = max($stretch, abs($adjuster->slackGiven($adjuster->usualReserve())));
        }

        return new self($run, $whole, $healthy, $stretch);
    }

    /**
     * The slack there would be with every adjuster at its slackest, from what there is now and where each stands. One
     * that nobody measured could give all of its travel, or nothing.
     *
     * @param  array<string, Steps|null>  $positions  by adjuster
     * @return array{float, float} least and most
     */
    public function slackIn(float $slack, array $positions): array
    {
        [$least, $most] = [$slack, $slack];
        foreach ($this->run->playAdjusters() as $id => $adjuster) {
            $at = $positions[$id] ?? null;
            $gives = $at === null ? null : $adjuster->slackGiven(self::slackest($adjuster)->minus($at));
            $least += $gives ?? 0.0;
            $most += $gives ?? self::takes($adjuster);
        }

        return [$least, $most];
    }

    /**
     * @param  array<string, Steps|null>  $positions
     * @return list<string> adjusters nobody measured
     */
    public function unmeasured(array $positions): array
    {
        return array_values(array_map(
            static fn (Adjuster $one): string => $one->name(),
            array_filter(
                $this->run->playAdjusters(),
                static fn (Adjuster $one): bool => ($positions[$one->id()] ?? null) === null,
            ),
        ));
    }

    /**
     * Where each adjuster lands: the one in reach at its parking place, the others take the rest, the hidden end first;
     * what they cannot take comes back to the one in reach, and a clamp that notches its wire comes last of all.
     *
     * @return array<string, Steps> by adjuster
     */
    public function landing(float $takeUp, Parking $parking): array
    {
        $left = $takeUp;
        $near = $this->run->inReach();
        if ($near === null) {
            return [];
        }
        $take = array_map(static fn (): float => 0.0, $this->run->playAdjusters());
        foreach ($this->order($near, $parking->of($near)->from) as [$adjuster, $most]) {
            $more = min($left, max(0.0, $most - $take[$adjuster->id()]));
            $take[$adjuster->id()] += $more;
            $left -= $more;
        }
        $lands = [];
        foreach ($this->run->playAdjusters() as $id => $adjuster) {
            $steps = $adjuster->sense()->sign() * $take[$id] / abs($adjuster->slackGiven(Steps::of(1)));
            $lands[$id] = self::slackest($adjuster)->plus(self::countable($adjuster, $steps));
        }

        return $lands;
    }

    /** @return list<array{Adjuster, float}> each with what it takes up by then */
    private function order(Adjuster $near, Steps $parked): array
    {
        $others = array_values(array_filter(
            array_reverse($this->run->playAdjusters()),
            static fn (Adjuster $one): bool => $one->id() !== $near->id(),
        ));
        $usual = array_filter($others, static fn (Adjuster $one): bool => ! $one->kind()->isLastResort());
        $last = array_filter($others, static fn (Adjuster $one): bool => $one->kind()->isLastResort());
        $whole = static fn (Adjuster $one): array => [$one, self::takes($one)];

        return [
            [$near, abs($near->slackGiven($parked->minus(self::slackest($near))))],
            ...array_map($whole, array_values($usual)),
            $whole($near),
            ...array_map($whole, array_values($last)),
        ];
    }

    /** To the nearest step that the adjuster can be set to. */
    private static function countable(Adjuster $adjuster, float $steps): Steps
    {
        $small = $adjuster->smallestStep()->count;

        return Steps::fromCount((int) round($steps * Steps::PER_TURN / $small) * $small);
    }

    /** Slack from its slackest place to its tightest. */
    private static function takes(Adjuster $adjuster): float
    {
        return abs($adjuster->slackGiven($adjuster->travel()->length()));
    }

    private static function slackest(Adjuster $adjuster): Steps
    {
        return $adjuster->sense()->sign() > 0 ? $adjuster->travel()->from : $adjuster->travel()->to;
    }

    private static function tightestHealthy(Adjuster $adjuster): Steps
    {
        return $adjuster->sense()->sign() > 0 ? $adjuster->healthy()->to : $adjuster->healthy()->from;
    }
}
