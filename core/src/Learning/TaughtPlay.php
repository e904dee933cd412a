<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Statistics\NormalDistribution;

/**
 * Free play as one machine has taught it: y = a + R·x, with x the slack given in mm of conduit.
 *
 * R is above zero with a normal prior on ln R, held on a fixed grid of 81 nodes out to five standard deviations; the
 * level a has a flat prior and is integrated out, so that ln L(R) = −½(Syy − 2R·Sxy + R²·Sxx) with weighted, centred
 * sums. Given R, play at x is normal about ȳ + R(x − x̄) with variance 1/Σw.
 */
final readonly class TaughtPlay implements Belief
{
    private const HALF = 40;

    private const REACH = 5.0;

    /** Nodes below this share are left out of every sum. */
    private const NEGLIGIBLE = 1e-7;

    /** Only readings this many standard deviations off are put to the full test for surprise. */
    private const SUSPECT = 2.5;

    /** Floor of a reading's standard uncertainty in mm, so that no single reading weighs without limit. */
    private const LEAST = 0.005;

    /** @param  array<int, float>  $shares  posterior share of each node that is not negligible, keyed by node */
    private function __construct(
        private RatioPrior $prior,
        private Sums $sums,
        private float $slack,
        private array $shares,
        private float $ratio,
        private float $ratioVariance,
    ) {}

    public static function startingFrom(RatioPrior $prior, float $slack): self
    {
        return self::of($prior, Sums::none(), $slack);
    }

    public function after(float $slackGiven): self
    {
        return new self($this->prior, $this->sums, $this->slack + $slackGiven, $this->shares, $this->ratio, $this->ratioVariance);
    }

    public function given(float $mean, float $standard): self|Surprise
    {
        $u = max(self::LEAST, $standard);
        if ($this->isPlaced() && $this->isSurprising($mean, $u)) {
            return new Surprise($this->expected(0.0), $mean);
        }

        return self::of($this->prior, $this->sums->with($this->slack, $mean, 1 / ($u * $u)), $this->slack);
    }

    public function isPlaced(): bool
    {
        return $this->sums->weight > 0.0;
    }

    /** Whether readings at two or more settings have been put together. */
    public function hasLearned(): bool
    {
        return $this->sums->xx > 0.0;
    }

    public function expected(float $shift): float
    {
        return $this->sums->meanY + $this->ratio * ($this->slack + $shift - $this->sums->meanX);
    }

    public function chanceBetween(float $low, float $high, float $shift, float $noise): float
    {
        $reach = $this->slack + $shift - $this->sums->meanX;
        $deviation = sqrt(1 / $this->sums->weight + $noise * $noise);
        $chance = 0.0;
        foreach ($this->shares as $node => $share) {
            $mean = $this->sums->meanY + $this->ratioAt($node) * $reach;
            $below = $high === INF ? 1.0 : NormalDistribution::cumulative(($high - $mean) / $deviation);
            $chance += $share * ($below - ($low === -INF ? 0.0 : NormalDistribution::cumulative(($low - $mean) / $deviation)));
        }

        return $chance;
    }

    public function range(float $coverage, float $shift, float $noise): array
    {
        $tail = (1 - $coverage) / 2;

        return [$this->quantile($tail, $shift, $noise), $this->quantile(1 - $tail, $shift, $noise)];
    }

    /** Expected R, in mm of play for one mm of slack. */
    public function ratio(): float
    {
        return $this->ratio;
    }

    /** Standard deviation of R. */
    public function ratioDeviation(): float
    {
        return sqrt($this->ratioVariance);
    }

    /** Standard deviation of play after a shift, as a normal curve of the same variance would have it, in mm. */
    public function deviation(float $shift, float $noise): float
    {
        $reach = $this->slack + $shift - $this->sums->meanX;

        return sqrt(1 / $this->sums->weight + $this->ratioVariance * $reach * $reach + $noise * $noise);
    }

    /** What this stretch taught about R, as the prior of the next. */
    public function taught(): RatioPrior
    {
        $ln = 0.0;
        foreach ($this->shares as $node => $share) {
            $ln += $share * $this->lnAt($node);
        }
        $variance = 0.0;
        foreach ($this->shares as $node => $share) {
            $variance += $share * ($this->lnAt($node) - $ln) ** 2;
        }

        return RatioPrior::of($ln, sqrt($variance));
    }

    private static function of(RatioPrior $prior, Sums $sums, float $slack): self
    {
        $step = self::REACH / self::HALF;
        $peak = $sums->xx > 0.0 ? 0.5 * $sums->xy * $sums->xy / $sums->xx : 0.0;
        $weights = [];
        $total = 0.0;
        for ($node = -self::HALF; $node <= self::HALF; $node++) {
            $t = $node * $step;
            $r = exp($prior->ln + $prior->spread * $t);
            $weights[$node] = exp(-0.5 * $t * $t + $r * $sums->xy - 0.5 * $r * $r * $sums->xx - $peak);
            $total += $weights[$node];
        }
        if ($total === 0.0) {
            return self::farFromPrior($prior, $sums, $slack);
        }
        $shares = [];
        $mean = 0.0;
        $square = 0.0;
        foreach ($weights as $node => $weight) {
            $share = $weight / $total;
            if ($share < self::NEGLIGIBLE) {
                continue;
            }
            $shares[$node] = $share;
            $r = exp($prior->ln + $prior->spread * $step * $node);
            $mean += $share * $r;
            $square += $share * $r * $r;
        }

        return new self($prior, $sums, $slack, $shares, $mean, max(0.0, $square - $mean * $mean));
    }

    /** The likelihood underflows at every node: the nearest end of the grid holds all the weight there is. */
    private static function farFromPrior(RatioPrior $prior, Sums $sums, float $slack): self
    {
        $best = $sums->xy / $sums->xx;
        $node = $best > exp($prior->ln) ? self::HALF : -self::HALF;
        $ratio = exp($prior->ln + $prior->spread * self::REACH / self::HALF * $node);

        return new self($prior, $sums, $slack, [$node => 1.0], $ratio, 0.0);
    }

    private function isSurprising(float $found, float $standard): bool
    {
        $off = abs($found - $this->expected(0.0));
        if ($off < self::SUSPECT * $this->deviation(0.0, $standard)) {
            return false;
        }
        $below = $this->chanceBetween(-INF, $found, 0.0, $standard);

        return 2 * min($below, 1 - $below) < Surprise::BELOW;
    }

    /** Halves a bracket of ten deviations about the mean; the cumulative is monotone. */
    private function quantile(float $p, float $shift, float $noise): float
    {
        $half = 10 * $this->deviation($shift, $noise);
        $low = $this->expected($shift) - $half;
        $high = $low + 2 * $half;
        for ($i = 0; $i < 18; $i++) {
            $middle = ($low + $high) / 2;
            $this->chanceBetween(-INF, $middle, $shift, $noise) < $p ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    private function lnAt(int $node): float
    {
        return $this->prior->ln + $this->prior->spread * self::REACH / self::HALF * $node;
    }

    private function ratioAt(int $node): float
    {
        return exp($this->lnAt($node));
    }
}
