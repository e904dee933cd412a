<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Statistics\NormalDistribution;

/**
 * Free play as one machine has taught it: y = a + R·x + h·d, with x the slack given in mm of conduit and d the side it was come from.
 *
 * R is above zero. ln R is normal as it was told, or, now and then, somewhere else altogether: a ratio that was entered wrongly must be
 * unlearned. The side h is nothing, or, now and then, lost motion in a thread or a wire that sticks. These hypotheses are weighed by their
 * evidence; the level a has a flat prior and is integrated out. What is believed is worked out when it is first asked for, since most
 * readings only add to the sums.
 */
final class TaughtPlay implements Belief
{
    /** Share of machines whose ratio is not what it was told to be, and how far off those are, in ln R (ours; the spread as in core.md §3). */
    private const ASTRAY = 0.03;

    private const ASTRAY_SPREAD = 0.7;

    /** Share of machines on which the side matters, and by how much, in mm of conduit (ours). */
    private const SIDED = 0.02;

    private const SIDE = 0.3;

    /** A reading within this many deviations of R and of its own noise cannot be a surprise; both at once lie at 3.2. */
    private const EXPECTED_RATIO = 2.5;

    private const EXPECTED_NOISE = 2.0;

    /** Floor of a reading's standard uncertainty in mm, so that no single reading weighs without limit. */
    private const LEAST = 0.005;

    /** Deviations beyond which nothing is left of a normal curve that shows in a chance. */
    private const SURELY = 8.0;

    private ?Posterior $posterior = null;

    /** @param  list<TautReading>  $taut */
    private function __construct(
        private readonly RatioPrior $prior,
        private readonly Sums $sums,
        private readonly float $slack,
        /** +1 where slack was given last, −1 where it was taken away, 0 where nothing was moved yet. */
        private readonly float $way,
        /** Of the hypothesis that was told: kept from reading to reading, since most readings are plain by it. */
        private readonly Peak $peak,
        private readonly array $taut = [],
    ) {}

    public static function startingFrom(RatioPrior $prior, float $slack, float $way = 0.0): self
    {
        return new self($prior, Sums::none(), $slack, $way, Peak::ofPrior($prior));
    }

    /** @param  float|null  $way  of the last of several moves; null where it was one */
    public function after(float $slackGiven, ?float $way = null): self
    {
        $after = new self($this->prior, $this->sums, $this->slack + $slackGiven, $way ?? ($slackGiven === 0.0 ? $this->way : (float) ($slackGiven <=> 0.0)), $this->peak, $this->taut);
        $after->posterior = $this->posterior;

        return $after;
    }

    /** The belief after something that may have shifted the level: so much slack given, with this standard deviation, both in mm of conduit. */
    public function shaken(float $slackGiven, float $deviation): self
    {
        $after = new self($this->prior, $this->sums->loosened(($deviation * exp($this->prior->ln)) ** 2), $this->slack + $slackGiven, $this->way, $this->peak, $this->taut);
        $after->posterior = $this->posterior;

        return $after;
    }

    public function given(float $mean, float $standard): self|Surprise
    {
        $u = max(self::LEAST, $standard);
        if ($this->isPlaced() && $this->isSurprising($mean, $u)) {
            return new Surprise($this->expected(0.0), $mean);
        }
        $sums = $this->sums->with($this->slack, $mean, $this->way, 1 / ($u * $u));
        $placed = new self($this->prior, $sums, $this->slack, $this->way, $this->peak->with($this->prior, $sums->xx, $sums->xy), $this->taut);

        return $this->isPlaced() || $this->taut === [] || $placed->letsBeTaut() ? $placed : new Surprise(0.0, $mean);
    }

    /** The belief after a reading of nothing: play is there or below it. */
    public function givenTaut(float $mean, float $standard): self|Surprise
    {
        $reading = new TautReading($this->slack, $this->way, $mean, max(self::LEAST, $standard), $this->isPlaced() || $this->taut !== [] ? null : exp($this->prior->ln));
        $after = new self($this->prior, $this->sums, $this->slack, $this->way, $this->peak, [...$this->taut, $reading]);
        if (! $this->isPlaced()) {
            // Kept until a reading above zero places the play: then it says how little the slack given since can have moved it.
            return $after;
        }

        return $this->chanceBetween(-INF, $mean, 0.0, max(self::LEAST, $standard)) < Surprise::BELOW ? new Surprise($this->expected(0.0), $mean) : $after;
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

    public function expected(float $shift, ?float $way = null): float
    {
        $posterior = $this->posterior();

        return $this->sums->meanY + $posterior->ratio * $this->reach($shift) + $posterior->side * $this->sideReach($shift, $way);
    }

    /** @param  float|null  $way  from which side it is come to in the end; null for the way of the shift */
    public function chanceBetween(float $low, float $high, float $shift, float $noise, ?float $way = null): float
    {
        $reach = $this->reach($shift);
        $side = $this->sideReach($shift, $way);
        $variance = 1 / $this->sums->weight + $noise * $noise;
        $chance = 0.0;
        $posterior = $this->posterior();
        [$squares, $sideSquare] = [$reach * $reach, $side * $side];
        foreach ($posterior->shares as $node => $share) {
            $ratio = $posterior->ratios[$node];
            $mean = $this->sums->meanY + $ratio * $reach + $posterior->sides[$node] * $side;
            // A node stands for its whole cell: without the cell's own width the chance would go up and down with the grid.
            $deviation = sqrt($variance + $posterior->cells[$node] * $squares * $ratio * $ratio + $posterior->sideVariances[$node] * $sideSquare);
            $top = ($high - $mean) / $deviation;
            $bottom = ($low - $mean) / $deviation;
            if ($bottom >= self::SURELY || $top <= -self::SURELY) {
                continue;
            }
            $chance += $share * (($top >= self::SURELY ? 1.0 : NormalDistribution::cumulative($top)) - ($bottom <= -self::SURELY ? 0.0 : NormalDistribution::cumulative($bottom)));
        }

        return $chance;
    }

    public function range(float $coverage, float $shift, float $noise, ?float $way = null): array
    {
        $tail = (1 - $coverage) / 2;

        return [$this->quantile($tail, $shift, $noise, $way), $this->quantile(1 - $tail, $shift, $noise, $way)];
    }

    /** The least that R may well be by what was told before anything was read: two deviations below. */
    public function leastTold(): float
    {
        return exp($this->prior->ln - 2 * $this->prior->spread);
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

    /** By how much play reads differently when the last turn gave slack instead of taking it, in mm; and the chance that the side matters. */
    public function sides(): Sides
    {
        return new Sides(2 * $this->posterior()->side, $this->posterior()->sideChance);
    }

    /** +1 where slack was given last, −1 where it was taken away, 0 where nothing was moved yet. */
    public function way(): float
    {
        return $this->way;
    }

    /** Standard deviation of play after a shift, as a normal curve of the same variance would have it, in mm. */
    public function deviation(float $shift, float $noise, ?float $way = null): float
    {
        $posterior = $this->posterior();
        $side = $this->sideReach($shift, $way);

        return sqrt(1 / $this->sums->weight + $posterior->variance * $this->reach($shift) ** 2 + $noise * $noise
            + ($posterior->sideChance > 0.5 ? $posterior->sideVariances[0] * $side * $side : 0.0));
    }

    /** What this stretch taught about R, as the prior of the next. */
    public function taught(): RatioPrior
    {
        return $this->hasLearned() || ($this->isPlaced() && $this->taut !== []) ? RatioPrior::of($this->posterior()->ln, $this->posterior()->spread) : $this->prior;
    }

    private function posterior(): Posterior
    {
        return $this->posterior ??= Posterior::of($this->hypotheses(), $this->sums, $this->isPlaced() ? $this->taut : []);
    }

    /** @return non-empty-list<Hypothesis> the one that was told first */
    private function hypotheses(): array
    {
        $astray = RatioPrior::of($this->prior->ln, max(self::ASTRAY_SPREAD, $this->prior->spread));
        $side = (self::SIDE * exp($this->prior->ln)) ** 2;

        return [
            Hypothesis::of((1 - self::ASTRAY) * (1 - self::SIDED), $this->prior, 0.0, $this->sums, $this->peak),
            Hypothesis::of(self::ASTRAY * (1 - self::SIDED), $astray, 0.0, $this->sums),
            Hypothesis::of((1 - self::ASTRAY) * self::SIDED, $this->prior, $side, $this->sums),
            Hypothesis::of(self::ASTRAY * self::SIDED, $astray, $side, $this->sums),
        ];
    }

    /** Whether the play, as placed now, can have been taut where it was read taut before. */
    private function letsBeTaut(): bool
    {
        [$with, $without] = [0.0, 0.0];
        foreach ($this->hypotheses() as $one) {
            $plain = Posterior::of([$one], $this->sums, []);
            foreach ($plain->shares as $node => $share) {
                $each = $one->share * $share;
                $without += $each;
                foreach ($this->taut as $reading) {
                    $each *= $reading->likelihood($plain->ratios[$node], $this->sums, $one);
                }
                $with += $each;
            }
        }

        return $with >= Surprise::BELOW * $without;
    }

    /** Slack between the middle of what was read and where a shift would bring it, in mm. */
    private function reach(float $shift): float
    {
        return $this->slack + $shift - $this->sums->meanX;
    }

    /** The side that a shift would come from, against the middle of those that were read. */
    private function sideReach(float $shift, ?float $way = null): float
    {
        // Until something was turned nobody knows from which side it was left: a first move is taken for one more the same way.
        return $this->way === 0.0 ? 0.0 : ($way ?? ($shift === 0.0 ? $this->way : ($shift > 0.0 ? 1.0 : -1.0))) - $this->sums->meanD;
    }

    private function isSurprising(float $found, float $standard): bool
    {
        if ($this->isPlain($found, $standard)) {
            return false;
        }
        $below = $this->chanceBetween(-INF, $found, 0.0, $standard);

        return 2 * min($below, 1 - $below) < Surprise::BELOW;
    }

    /** Whether a reading lies where readings are expected, as a glance at what was told of the machine shows. */
    private function isPlain(float $found, float $standard): bool
    {
        $peak = $this->peak;
        $reach = $this->reach(0.0);
        $one = $this->sums->meanY + $reach * exp($peak->ln - self::EXPECTED_RATIO * $peak->spread);
        $other = $this->sums->meanY + $reach * exp($peak->ln + self::EXPECTED_RATIO * $peak->spread);
        $noise = self::EXPECTED_NOISE * sqrt(1 / $this->sums->weight + $standard * $standard);

        return $found >= min($one, $other) - $noise && $found <= max($one, $other) + $noise;
    }

    /**
     * Where the cumulative reaches p. Seen through the normal curve's own quantile it is nearly straight, so that a
     * secant within the bracket is there in a few steps; the cumulative is monotone.
     */
    private function quantile(float $p, float $shift, float $noise, ?float $way): float
    {
        $deviation = $this->deviation($shift, $noise, $way);
        $wanted = NormalDistribution::quantile($p);
        [$low, $high] = [$this->expected($shift, $way) - 10 * $deviation, $this->expected($shift, $way) + 10 * $deviation];
        $at = $this->expected($shift, $way) + $wanted * $deviation;
        $slope = 1 / $deviation;
        $before = null;
        for ($i = 0; $i < 20; $i++) {
            $off = NormalDistribution::quantile(min(1 - 1e-15, max(1e-15, $this->chanceBetween(-INF, $at, $shift, $noise, $way)))) - $wanted;
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
