<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/** One hypothesis as it is believed after all readings: its share, and that of each of its ratios. */
final readonly class Believed
{
    /**
     * @param  list<float>  $ratios  R at the nodes that count
     * @param  list<float>  $shares  their shares; with those of the other hypotheses they add up to one
     * @param  list<float>  $sides  what one step of side adds to play there, in mm
     */
    public function __construct(
        public Hypothesis $hypothesis,
        public array $ratios,
        public array $shares,
        public array $sides,
        /** Variance of ln R within the cell of a node, about that node. */
        public float $cell,
        /** The shares together, and the means of R, R² and of the side under them. */
        public float $share,
        public float $ratio,
        public float $square,
        public float $side,
    ) {}

    /**
     * @param  array{list<float>, list<float>, list<float>}  $nodes  ratios, shares and sides
     * @param  array{float, float, float, float}  $sums  of the shares, and of R, R² and the side under them
     */
    public static function summed(Hypothesis $hypothesis, array $nodes, float $cell, array $sums): self
    {
        [$sum, $ratio, $square, $side] = $sums;

        return new self($hypothesis, ...$nodes, ...[$cell, $sum, $ratio / $sum, $square / $sum, $side / $sum]);
    }

    /** Expected play after a turn, were this hypothesis so, in mm. */
    public function expected(float $shift, ?float $way): float
    {
        $told = $this->hypothesis->told;

        return $told->sums->meanY + $this->ratio * $told->reach($shift, $way) + $this->side * $told->side($shift, $way);
    }

    /** Variance of play after a turn, were this hypothesis so, in mm². */
    public function variance(float $shift, ?float $way): float
    {
        $told = $this->hypothesis->told;

        return 1 / $told->sums->weight
            + max(0.0, $this->square - $this->ratio ** 2) * $told->reach($shift, $way) ** 2
            + $this->hypothesis->sideVariance * $told->side($shift, $way) ** 2;
    }

    /**
     * By how much play is lost between one side and the other, the thread's own loss included; half of it for one step
     * of side.
     */
    public function apart(): float
    {
        return 2 * $this->side - $this->hypothesis->told->thread->lost * $this->ratio;
    }
}
