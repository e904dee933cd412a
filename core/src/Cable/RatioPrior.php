<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** What is known about R before this series: ln R is normal with this mean and standard deviation. */
final readonly class RatioPrior
{
    private const USUAL_BETWEEN = 0.10;

    private const USUAL_MACHINES = 2;

    /** Deviations from what was told that one machine in some thousands has (ours). */
    private const FAR_OFF = 3.5;

    private function __construct(
        public float $ln,
        public float $spread,
        /**
         * How many other machines of the same model it was learned from; 0 where it is this control's own, or its
         * drawing.
         */
        public int $machines = 0,
    ) {}

    public static function of(float $ln, float $spread, int $machines = 0): self
    {
        return new self($ln, $spread, $machines);
    }

    /**
     * From what other machines of the same model and control taught: mean and spread between machines by the
     * random-effects estimate of DerSimonian and Laird (1986), the spread drawn towards a tenth, which counts for two
     * machines (ours); the next machine lies about that mean by the spread and by how little the mean itself is known.
     * The drawing counts as one machine more.
     *
     * @param  non-empty-list<self>  $others
     */
    public static function fromMachines(array $others, self $drawn): self
    {
        $all = [...$others, self::of($drawn->ln, max($drawn->spread, self::USUAL_BETWEEN))];
        $between = self::between($all);
        [$weights, $sum] = [0.0, 0.0];
        foreach ($all as $one) {
            $weight = 1 / ($one->spread ** 2 + $between);
            $weights += $weight;
            $sum += $weight * $one->ln;
        }

        return new self($sum / $weights, sqrt($between + 1 / $weights), count($others));
    }

    /** @param  non-empty-list<self>  $all */
    private static function between(array $all): float
    {
        [$w, $w2, $wy, $wyy] = [0.0, 0.0, 0.0, 0.0];
        foreach ($all as $one) {
            $weight = 1 / max(1e-6, $one->spread ** 2);
            $w += $weight;
            $w2 += $weight ** 2;
            $wy += $weight * $one->ln;
            $wyy += $weight * $one->ln ** 2;
        }
        $freedom = count($all) - 1;
        $found = max(0.0, ($wyy - $wy ** 2 / $w - $freedom) / max(1e-9, $w - $w2 / $w));

        return ($freedom * $found
            + self::USUAL_MACHINES * self::USUAL_BETWEEN ** 2) / ($freedom + self::USUAL_MACHINES);
    }

    public static function fromCoupling(CouplingRatio $ratio): self
    {
        return new self(log($ratio->value), $ratio->knowledge->spread());
    }

    /** Where what one step of an adjuster moves is itself not known: the two add up as squares. */
    public function widenedBy(float $spread): self
    {
        return $spread === 0.0 ? $this : new self($this->ln, sqrt($this->spread ** 2 + $spread ** 2), $this->machines);
    }

    /**
     * Whether turning moves hardly anything, by what was told: below a third of it, further than it was told by, and
     * surely below half (ours). No hand control is drawn so wrongly: it slips, or hangs, and says nothing of the ratio.
     */
    public function isHardlyAnything(self $told): bool
    {
        return $this->ln < $told->ln - max(log(3.0), self::FAR_OFF * $told->spread)
            && $this->ln + 2 * $this->spread < $told->ln - log(2.0);
    }

    /** For the next job on the same control: k² + 0.05² a job, + 0.10² more after a part was fitted (ours). */
    public function forNextJob(bool $partFitted = false): self
    {
        return new self(
            $this->ln,
            sqrt($this->spread ** 2 + 0.05 ** 2 + ($partFitted ? 0.10 ** 2 : 0.0)),
            $this->machines,
        );
    }
}
