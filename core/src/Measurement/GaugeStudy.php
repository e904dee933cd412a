<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Errors\Refused;
use VividPull\Core\Statistics\FDistribution;

/**
 * Several people measure several pieces, each piece equally often: how well one hand repeats, how far hands differ, and
 * how that compares with the pieces themselves. Crossed two-way analysis of variance with people and pieces drawn at
 * random: mean squares of pieces, people, the two together and of repeats; variances from their expectations (D. C.
 * Montgomery, Design and Analysis of Experiments, 13.3; from memory). Where people and pieces together show no more
 * than chance (their F above the 0.25 point), that part is put together with the repeats, as is usual (Measurement
 * Systems Analysis, 4th ed., AIAG, appendix A; from memory). A variance that comes out below nothing is nothing.
 */
final readonly class GaugeStudy
{
    /** Above this chance, people and pieces together are put with the repeats. */
    private const NO_INTERACTION = 0.25;

    private const FEWEST = 2;

    private function __construct(
        /** Standard deviation of one hand's repeats, in the unit of the readings, */
        public float $repeat,
        /** ... and its degrees of freedom. */
        public float $repeatFreedom,
        /** Standard deviation between hands. */
        public float $between,
        /** Standard deviation of the pieces themselves. */
        public float $pieces,
        /** The chance that people differ from piece to piece by repeats alone. */
        public float $chanceOfNoInteraction,
        /** Whether that part was put together with the repeats. */
        public bool $isPooled,
        /**
         * @var array<string, array{squares: float, freedom: int}> each person's own, about the means of their repeats
         */
        public array $byPerson,
    ) {}

    /**
     * @param  array<string, array<string, list<float>>>  $readings  by person, then by piece
     *
     * @throws Refused If there are fewer than two people, pieces or repeats, or not every piece was measured equally
     *     often by everybody.
     */
    public static function of(array $readings): self
    {
        [$people, $pieces, $repeats] = self::size($readings);
        [$o, $p] = [count($people), count($pieces)];
        $cell = static fn (string $who, string $what): float => array_sum($readings[$who][$what]) / $repeats;
        [$ofPerson, $ofPiece] = [[], []];
        foreach ($people as $who) {
            $ofPerson[$who] = array_sum(array_map(static fn (string $what): float => $cell($who, $what), $pieces)) / $p;
        }
        foreach ($pieces as $what) {
            $ofPiece[$what] = array_sum(array_map(static fn (string $who): float => $cell($who, $what), $people)) / $o;
        }
        $mean = array_sum($ofPerson) / $o;
        $together = 0.0;
        $byPerson = [];
        foreach ($people as $who) {
            $own = 0.0;
            foreach ($pieces as $what) {
                $together += $repeats * ($cell($who, $what) - $ofPerson[$who] - $ofPiece[$what] + $mean) ** 2;
                $own += array_sum(array_map(
                    static fn (float $one): float => ($one - $cell($who, $what)) ** 2,
                    $readings[$who][$what],
                ));
            }
            $byPerson[$who] = ['squares' => $own, 'freedom' => $p * ($repeats - 1)];
        }

        return self::ofSquares(
            $o,
            $p,
            $repeats,
            $p * $repeats * self::about($mean, $ofPerson),
            $o * $repeats * self::about($mean, $ofPiece),
            $together,
            $byPerson,
        );
    }

    /** @param  array<string, float>  $means */
    private static function about(float $mean, array $means): float
    {
        return array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $means));
    }

    /** @param  array<string, array{squares: float, freedom: int}>  $byPerson */
    private static function ofSquares(
        int $o,
        int $p,
        int $repeats,
        float $people,
        float $pieces,
        float $together,
        array $byPerson,
    ): self {
        [$crossFreedom, $errorFreedom] = [($o - 1) * ($p - 1), $o * $p * ($repeats - 1)];
        $error = array_sum(array_column($byPerson, 'squares'));
        $cross = $together / $crossFreedom;
        $repeat = $error / $errorFreedom;
        // Repeats without any spread, of people who differ: no chance at all.
        $chance = $repeat > 0.0
            ? FDistribution::above($cross / $repeat, $crossFreedom, $errorFreedom)
            : ($cross > 0.0 ? 0.0 : 1.0);
        $isPooled = $chance > self::NO_INTERACTION;
        if ($isPooled) {
            $cross = $repeat = ($together + $error) / ($crossFreedom + $errorFreedom);
        }
        $interaction = $isPooled ? 0.0 : max(0.0, ($cross - $repeat) / $repeats);
        $between = max(0.0, ($people / ($o - 1) - $cross) / ($p * $repeats)) + $interaction;

        return new self(
            sqrt($repeat),
            $isPooled ? $crossFreedom + $errorFreedom : $errorFreedom,
            sqrt($between),
            sqrt(max(0.0, ($pieces / ($p - 1) - $cross) / ($o * $repeats))),
            $chance,
            $isPooled,
            $byPerson,
        );
    }

    /**
     * How far one hand lies from another, for what is read with this instrument from now on; of so few hands, with one
     * degree of freedom less than there were.
     */
    public function hands(): ?Repeatability
    {
        return $this->between > 0.0 ? Repeatability::pooled($this->between, count($this->byPerson) - 1.0) : null;
    }

    /** Standard deviation of one reading by anybody. */
    public function gauge(): float
    {
        return hypot($this->repeat, $this->between);
    }

    /**
     * The share of all that is seen that the gauge and its hands make, as standard deviations: 0 where pieces are all
     * that differs.
     */
    public function share(): float
    {
        $all = hypot($this->gauge(), $this->pieces);

        return $all > 0.0 ? $this->gauge() / $all : 0.0;
    }

    /**
     * @param  array<string, array<string, list<float>>>  $readings
     * @return array{list<string>, list<string>, int}
     */
    private static function size(array $readings): array
    {
        $people = array_map(strval(...), array_keys($readings));
        $pieces = array_map(strval(...), array_keys($readings[$people[0] ?? ''] ?? []));
        $repeats = count($readings[$people[0] ?? ''][$pieces[0] ?? ''] ?? []);
        if (min(count($people), count($pieces), $repeats) < self::FEWEST) {
            throw Refused::because(
                'A study takes at least two people, two pieces, and two readings of each piece by each of them.',
            );
        }
        foreach ($readings as $who => $own) {
            if (
                array_map(strval(...), array_keys($own)) !== $pieces
                || array_unique(array_map(count(...), $own)) !== [array_key_first($own) => $repeats]
            ) {
                throw Refused::because(
                    "Everybody measures every piece equally often, and {$who} did not: {$repeats} readings of each are wanted.",
                );
            }
        }

        return [$people, $pieces, $repeats];
    }
}
