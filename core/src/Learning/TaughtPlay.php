<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Statistics\NormalDistribution;

/**
 * Free play as one machine has taught it: y = a + R·x, with x the slack given in mm of conduit.
 *
 * R is above zero with a normal prior on ln R; the level a has a flat prior and is integrated out. Given R, play at x
 * is normal about ȳ + R(x − x̄) with variance 1/Σw. What is believed of R is worked out when it is first asked for,
 * since most readings only add to the sums.
 */
final class TaughtPlay implements Belief
{
    /** A reading within this many deviations of R and of its own noise cannot be a surprise; both at once lie at 3.2. */
    private const EXPECTED_RATIO = 2.5;

    private const EXPECTED_NOISE = 2.0;

    /** Floor of a reading's standard uncertainty in mm, so that no single reading weighs without limit. */
    private const LEAST = 0.005;

    private ?Posterior $posterior = null;

    private function __construct(
        private readonly RatioPrior $prior,
        private readonly Sums $sums,
        private readonly float $slack,
        private readonly Peak $peak,
        /** @var list<TautReading> */
        private readonly array $taut = [],
    ) {}

    public static function startingFrom(RatioPrior $prior, float $slack): self
    {
        return new self($prior, Sums::none(), $slack, Peak::ofPrior($prior));
    }

    public function after(float $slackGiven): self
    {
        $after = new self($this->prior, $this->sums, $this->slack + $slackGiven, $this->peak, $this->taut);
        $after->posterior = $this->posterior;

        return $after;
    }

    public function given(float $mean, float $standard): self|Surprise
    {
        $u = max(self::LEAST, $standard);
        if ($this->isPlaced() && $this->isSurprising($mean, $u)) {
            return new Surprise($this->expected(0.0), $mean);
        }
        $sums = $this->sums->with($this->slack, $mean, 1 / ($u * $u));
        $placed = new self($this->prior, $sums, $this->slack, $this->peak->with($this->prior, $sums), $this->taut);

        return $this->isPlaced() || $this->taut === [] || $placed->letsBeTaut() ? $placed : new Surprise(0.0, $mean);
    }

    /** The belief after a reading of nothing: play is there or below it. */
    public function givenTaut(float $mean, float $standard): self|Surprise
    {
        $reading = new TautReading($this->slack, $mean, max(self::LEAST, $standard));
        if (! $this->isPlaced()) {
            // Kept until a reading above zero places the play: then it says how little the slack given since can have moved it.
            return new self($this->prior, $this->sums, $this->slack, $this->peak, [...$this->taut, $reading]);
        }
        $chance = 0.0;
        foreach ($this->posterior()->shares as $node => $share) {
            $chance += $share * $reading->likelihood($this->posterior()->ratios[$node], $this->sums);
        }

        return $chance < Surprise::BELOW
            ? new Surprise($this->expected(0.0), $mean)
            : new self($this->prior, $this->sums, $this->slack, $this->peak, [...$this->taut, $reading]);
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
        return $this->sums->meanY + $this->posterior()->ratio * $this->reach($shift);
    }

    public function chanceBetween(float $low, float $high, float $shift, float $noise): float
    {
        $reach = $this->reach($shift);
        $variance = 1 / $this->sums->weight + $noise * $noise;
        $chance = 0.0;
        $posterior = $this->posterior();
        // A node stands for its whole cell: without the cell's own width the chance would go up and down with the grid.
        $cell = $posterior->cell * $reach * $reach;
        foreach ($posterior->shares as $node => $share) {
            $ratio = $posterior->ratios[$node];
            $mean = $this->sums->meanY + $ratio * $reach;
            $deviation = sqrt($variance + $cell * $ratio * $ratio);
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
        return $this->posterior()->ratio;
    }

    /** Standard deviation of R. */
    public function ratioDeviation(): float
    {
        return sqrt($this->posterior()->variance);
    }

    /** Standard deviation of play after a shift, as a normal curve of the same variance would have it, in mm. */
    public function deviation(float $shift, float $noise): float
    {
        return sqrt(1 / $this->sums->weight + $this->posterior()->variance * $this->reach($shift) ** 2 + $noise * $noise);
    }

    /** What this stretch taught about R, as the prior of the next. */
    public function taught(): RatioPrior
    {
        return $this->hasLearned() || ($this->isPlaced() && $this->taut !== []) ? RatioPrior::of($this->posterior()->ln, $this->posterior()->spread) : $this->prior;
    }

    private function posterior(): Posterior
    {
        return $this->posterior ??= Posterior::of($this->prior, $this->sums, $this->peak, $this->isPlaced() ? $this->taut : []);
    }

    /** Whether the play, as placed now, can have been taut where it was read taut before. */
    private function letsBeTaut(): bool
    {
        $plain = Posterior::of($this->prior, $this->sums, $this->peak, []);
        $chance = 0.0;
        foreach ($plain->shares as $node => $share) {
            $each = $share;
            foreach ($this->taut as $reading) {
                $each *= $reading->likelihood($plain->ratios[$node], $this->sums);
            }
            $chance += $each;
        }

        return $chance >= Surprise::BELOW;
    }

    /** Slack between the middle of what was read and where a shift would bring it, in mm. */
    private function reach(float $shift): float
    {
        return $this->slack + $shift - $this->sums->meanX;
    }

    private function isSurprising(float $found, float $standard): bool
    {
        if ($this->isPlain($found, $standard)) {
            return false;
        }
        $below = $this->chanceBetween(-INF, $found, 0.0, $standard);

        return 2 * min($below, 1 - $below) < Surprise::BELOW;
    }

    /** Whether a reading lies where readings are expected, as a glance at the peak tells. */
    private function isPlain(float $found, float $standard): bool
    {
        $reach = $this->reach(0.0);
        $one = $this->sums->meanY + $reach * exp($this->peak->ln - self::EXPECTED_RATIO * $this->peak->spread);
        $other = $this->sums->meanY + $reach * exp($this->peak->ln + self::EXPECTED_RATIO * $this->peak->spread);
        $noise = self::EXPECTED_NOISE * sqrt(1 / $this->sums->weight + $standard * $standard);

        return $found >= min($one, $other) - $noise && $found <= max($one, $other) + $noise;
    }

    /**
     * Where the cumulative reaches p. Seen through the normal curve's own quantile it is nearly straight, so that a
     * secant within the bracket is there in a few steps; the cumulative is monotone.
     */
    private function quantile(float $p, float $shift, float $noise): float
    {
        $deviation = $this->deviation($shift, $noise);
        $wanted = NormalDistribution::quantile($p);
        [$low, $high] = [$this->expected($shift) - 10 * $deviation, $this->expected($shift) + 10 * $deviation];
        $at = $this->expected($shift) + $wanted * $deviation;
        $slope = 1 / $deviation;
        $before = null;
        for ($i = 0; $i < 20; $i++) {
            $off = NormalDistribution::quantile(min(1 - 1e-15, max(1e-15, $this->chanceBetween(-INF, $at, $shift, $noise)))) - $wanted;
            if (abs($off) < 1e-6) {
                break;
            }
            $off < 0.0 ? $low = $at : $high = $at;
            $slope = $before === null || $at === $before[0] ? $slope : max(0.05 / $deviation, ($off - $before[1]) / ($at - $before[0]));
            $before = [$at, $off];
            $next = $at - $off / $slope;
            $at = $next > $low && $next < $high ? $next : ($low + $high) / 2;
        }

        return $at;
    }
}
