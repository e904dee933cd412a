<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Statistics\NormalDistribution;

/**
 * Free play as one machine has taught it: y = a + R·x + h·d, with x the slack given in mm of conduit and d the side it
 * was come from.
 *
 * R is above zero. ln R is normal as it was told, or, now and then, somewhere else altogether: a ratio that was entered
 * wrongly must be unlearned. The side h is nothing, or, now and then, a wire that sticks; and now and then a thread
 * loses part of a turn that reverses the one before it. These hypotheses are weighed by their evidence; the level a has
 * a flat prior and is integrated out. What is believed is worked out when it is first asked for, since most readings
 * only add to the sums.
 */
final class TaughtPlay implements Belief
{
    /**
     * Share of machines whose ratio is not what it was told to be, and how far off those are, in ln R (ours; the spread
     * as in core.md §3).
     */
    private const ASTRAY = 0.03;

    private const ASTRAY_SPREAD = 0.7;

    /** Share of machines on which the side matters, and by how much, in mm of conduit (ours). */
    private const SIDED = 0.02;

    private const SIDE = 0.3;

    /**
     * From which side it was found: as the first move goes, between the sides, or from the other; and the share of each
     * (ours).
     */
    private const FOUND = [[1.0, 0.5], [0.0, 0.25], [-1.0, 0.25]];

    /**
     * Share of machines whose thread loses motion when the turning is reversed, by how much, and about that, in mm of
     * conduit (ours).
     */
    private const LOSING = 0.03;

    private const LOST = [0.15, 0.3, 0.45, 0.6];

    private const LOST_SPREAD = 0.05;

    /**
     * With more readings than this only what does not go together with the plain explanation is explained otherwise.
     */
    private const FEW = 8;

    /** Misfit of the readings, in squared deviations beyond their number, from which on they do not go together. */
    private const MISFIT = 4.0;

    /**
     * A reading within this many deviations of R and of its own noise cannot be a surprise; both at once lie at 3.2.
     */
    private const EXPECTED_RATIO = 2.5;

    private const EXPECTED_NOISE = 2.0;

    /** Floor of a reading's standard uncertainty in mm, so that no single reading weighs without limit. */
    private const LEAST = 0.005;

    /** Turns read after that tell of a slip (ours). */
    private const TELL = 2;

    /** Deviations beyond which nothing is left of a normal curve that shows in a chance. */
    private const SURELY = 8.0;

    private ?Posterior $posterior = null;

    private ?Posterior $whole = null;

    /** @param  list<TautReading>  $taut */
    private function __construct(
        private readonly RatioPrior $prior,
        /** As the plain explanation has it, kept from reading to reading, since most readings are plain by it. */
        private readonly RegressionSums $sums,
        private readonly float $slack,
        /** +1 where slack was given last, −1 where it was taken away, 0 where nothing was moved yet. */
        private readonly float $way,
        private readonly PosteriorMode $peak,
        private readonly Story $story,
        private readonly array $taut = [],
        private readonly int $readings = 0,
        /** Whether it was turned since it was read last. */
        private readonly bool $isTurned = false,
        /** Readings that came after a turn. */
        private readonly int $turns = 0,
    ) {}

    /** @param  float  $way  of the first move, where it is known: +1 gives slack, −1 takes it away */
    public static function startingFrom(RatioPrior $prior, float $slack, float $way = 0.0): self
    {
        return new self(
            $prior,
            RegressionSums::none(),
            $slack,
            $way,
            PosteriorMode::ofPrior($prior),
            Story::from($slack, $way),
        );
    }

    public function after(float $slackGiven): self
    {
        return $slackGiven === 0.0 ? $this
            : new self(
                $this->prior,
                $this->sums,
                $this->slack + $slackGiven,
                $slackGiven > 0.0 ? 1.0 : -1.0,
                $this->peak,
                $this->story->turned($slackGiven),
                $this->taut,
                $this->readings,
                true,
                $this->turns,
            );
    }

    /**
     * The belief after something that may have shifted the level: so much slack given, with this standard deviation,
     * both in mm of conduit.
     */
    public function shaken(float $slackGiven, float $deviation): self
    {
        $variance = ($deviation * exp($this->prior->ln)) ** 2;

        return new self(
            $this->prior,
            $this->sums->loosened($variance),
            $this->slack + $slackGiven,
            $this->way,
            $this->peak,
            $this->story->shifted($slackGiven, $variance),
            $this->taut,
            $this->readings,
            $this->isTurned,
            $this->turns,
        );
    }

    public function given(float $mean, float $standard): self|Surprise
    {
        $u = max(self::LEAST, $standard);
        if ($this->sums->weight > 0.0 && $this->isSurprising($mean, $u)) {
            return new Surprise($this->expected(0.0), $mean);
        }
        $weight = 1 / ($u * $u);
        $sums = $this->sums->with($this->slack, $mean, $this->way, $weight);
        $placed = new self(
            $this->prior,
            $sums,
            $this->slack,
            $this->way,
            $this->peak->with($this->prior, $sums->xx, $sums->xy),
            $this->story->read($mean, $weight),
            $this->taut,
            $this->readings + 1,
            false,
            $this->turns + ($this->isTurned && $this->isPlaced() ? 1 : 0),
        );

        return $this->taut === [] || $this->isPlaced() || $placed->letsBeTaut() ? $placed : new Surprise(0.0, $mean);
    }

    /** The belief after a reading of nothing: play is there or below it. */
    public function givenTaut(float $mean, float $standard): self|Surprise
    {
        $reading = new TautReading(
            $mean,
            max(self::LEAST, $standard),
            $this->isPlaced() || $this->taut !== [] ? null : exp($this->prior->ln),
        );
        $after = new self(
            $this->prior,
            $this->sums,
            $this->slack,
            $this->way,
            $this->peak,
            $this->story->readTaut(),
            [...$this->taut, $reading],
            $this->readings,
            $this->isTurned,
            $this->turns,
        );
        if (! $this->isPlaced()) {
            // Kept until a reading above zero places the play: then it says how little the slack given since can have
            // moved it.
            return $after;
        }

        return $this->chanceBetween(-INF, $mean, 0.0, max(self::LEAST, $standard)) < Surprise::BELOW
            ? new Surprise($this->expected(0.0), $mean)
            : $after;
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
        $expected = 0.0;
        foreach ($this->posterior()->parts as $part) {
            $expected += $part->share * $part->expected($shift, $way);
        }

        return $expected;
    }

    /** @param  float|null  $way  from which side it is come to in the end; null for the way of the shift */
    public function chanceBetween(float $low, float $high, float $shift, float $noise, ?float $way = null): float
    {
        return self::chance($this->posterior(), $low, $high, $shift, $noise, $way);
    }

    private static function chance(
        Posterior $posterior,
        float $low,
        float $high,
        float $shift,
        float $noise,
        ?float $way,
    ): float {
        $chance = 0.0;
        foreach ($posterior->parts as $part) {
            $told = $part->hypothesis->told;
            [$reach, $side, $level] = [$told->reach($shift, $way), $told->side($shift, $way), $told->sums->meanY];
            $variance = 1 / $told->sums->weight + $noise * $noise + $part->hypothesis->sideVariance * $side * $side;
            $within = $part->cell * $reach * $reach;
            $sides = $part->sides;
            $shares = $part->shares;
            foreach ($part->ratios as $node => $ratio) {
                $mean = $level + $ratio * $reach + $sides[$node] * $side;
                // A node stands for its whole cell: without the cell's own width the chance would go up and down with
                // the grid.
                $deviation = sqrt($variance + $within * $ratio * $ratio);
                $top = ($high - $mean) / $deviation;
                $bottom = ($low - $mean) / $deviation;
                if ($bottom >= self::SURELY || $top <= -self::SURELY) {
                    continue;
                }
                $chance += $shares[$node] * (($top >= self::SURELY ? 1.0 : NormalDistribution::cumulative($top))
                    - ($bottom <= -self::SURELY ? 0.0 : NormalDistribution::cumulative($bottom)));
            }
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

    /**
     * By how much play reads differently when the last turn gave slack instead of taking it, in mm; and the chance that
     * the side matters.
     */
    public function sides(): Sides
    {
        return new Sides($this->posterior()->apart, $this->posterior()->sideChance);
    }

    /** +1 where slack was given last, −1 where it was taken away, 0 where nothing was moved yet. */
    public function way(): float
    {
        return $this->way;
    }

    /** Standard deviation of play after a shift, as a normal curve of the same variance would have it, in mm. */
    public function deviation(float $shift, float $noise, ?float $way = null): float
    {
        $mean = $this->expected($shift, $way);
        $variance = $noise * $noise;
        foreach ($this->posterior()->parts as $part) {
            $variance += $part->share
                * ($part->variance($shift, $way) + ($part->expected($shift, $way) - $mean) ** 2);
        }

        return sqrt($variance);
    }

    /** Whether what was read in this series is to be handed on. */
    public function hasTaught(): bool
    {
        return $this->hasLearned() && ! $this->hardlyFollows();
    }

    /** What this series taught about R, as the prior of the next: nothing, where the play hardly followed. */
    public function taught(): RatioPrior
    {
        return $this->hardlyFollows() ? $this->prior : $this->learned();
    }

    /** What the readings of this series say of R. */
    public function learned(): RatioPrior
    {
        return $this->hasLearned() || ($this->isPlaced() && $this->taut !== [])
            ? RatioPrior::of($this->posterior()->ln, $this->posterior()->spread)
            : $this->prior;
    }

    /**
     * Whether what was turned moved the play by hardly anything: that is no ratio. One turn does not tell it, for what
     * next to nothing was read of may have been taut.
     */
    public function hardlyFollows(): bool
    {
        return $this->turns >= self::TELL && $this->learned()->isHardlyAnything($this->prior);
    }

    private function posterior(): Posterior
    {
        return $this->posterior ??= $this->readings <= self::FEW || $this->misfit() > self::MISFIT ? $this->whole()
            : Posterior::of($this->plainly(), $this->isPlaced() ? $this->taut : []);
    }

    /** What is believed when every explanation is weighed. */
    private function whole(): Posterior
    {
        return $this->whole ??= Posterior::of(
            [...$this->plainly(), ...$this->otherwise()],
            $this->isPlaced() ? $this->taut : [],
        );
    }

    /** How badly the readings fit the plain explanation: squared deviations beyond what their number lets expect. */
    private function misfit(): float
    {
        return $this->sums->yy - 2 * $this->peak->height - ($this->readings - 1);
    }

    /** @return non-empty-list<Hypothesis> as it was told, or with quite another ratio */
    private function plainly(): array
    {
        $told = $this->taut === []
            ? Told::plainly($this->sums, $this->slack, $this->way)
            : $this->story->told(LostMotion::none(), 1.0);

        return [
            Hypothesis::of(
                (1 - self::ASTRAY) * (1 - self::SIDED - self::LOSING),
                $this->prior,
                0.0,
                $told,
                $this->peak,
            ),
            Hypothesis::of(self::ASTRAY * (1 - self::SIDED - self::LOSING), $this->astray(), 0.0, $told),
        ];
    }

    private function astray(): RatioPrior
    {
        return RatioPrior::of($this->prior->ln, max(self::ASTRAY_SPREAD, $this->prior->spread));
    }

    /** @return list<Hypothesis> a wire that sticks, a thread with lost motion */
    private function otherwise(): array
    {
        $all = [];
        $conduit = exp($this->prior->ln);
        foreach (self::FOUND as [$found, $share]) {
            $told = $this->story->told(LostMotion::none(), $found);
            $all[] = Hypothesis::of(
                (1 - self::ASTRAY) * self::SIDED * $share,
                $this->prior,
                (self::SIDE * $conduit) ** 2,
                $told,
            );
            $all[] = Hypothesis::of(
                self::ASTRAY * self::SIDED * $share,
                $this->astray(),
                (self::SIDE * $conduit) ** 2,
                $told,
            );
        }
        foreach (self::LOST as $lost) {
            foreach ([false, true] as $reverses) {
                $told = $this->story->told(LostMotion::of($lost, $reverses), $reverses ? -1.0 : 1.0);
                $all[] = Hypothesis::of(
                    self::LOSING / 2 / count(self::LOST),
                    $this->prior,
                    (self::LOST_SPREAD * $conduit) ** 2,
                    $told,
                );
            }
        }

        return $all;
    }

    /** Whether the play, as placed now, can have been taut where it was read taut before. */
    private function letsBeTaut(): bool
    {
        [$with, $without] = [0.0, 0.0];
        foreach ([...$this->plainly(), ...$this->otherwise()] as $one) {
            $plain = Posterior::of([$one], [])->parts[0];
            foreach ($plain->shares as $node => $share) {
                $each = $one->share * $share;
                $without += $each;
                foreach ($this->taut as $count => $reading) {
                    $each *= $reading->likelihood($plain->ratios[$node], $one, $one->told->taut[$count]);
                }
                $with += $each;
            }
        }

        return $with >= Surprise::BELOW * $without;
    }

    private function isSurprising(float $found, float $standard): bool
    {
        if ($this->isPlain($found, $standard)) {
            return false;
        }
        $below = self::chance($this->whole(), -INF, $found, 0.0, $standard, null);

        return 2 * min($below, 1 - $below) < Surprise::BELOW;
    }

    /** Whether a reading lies where readings are expected, as a glance at what was told of the machine shows. */
    private function isPlain(float $found, float $standard): bool
    {
        $peak = $this->peak;
        $reach = $this->slack - $this->sums->meanX;
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
        [$low, $high] = [
            $this->expected($shift, $way) - 10 * $deviation,
            $this->expected($shift, $way) + 10 * $deviation,
        ];
        $at = $this->expected($shift, $way) + $wanted * $deviation;
        $slope = 1 / $deviation;
        $before = null;
        for ($i = 0; $i < 20; $i++) {
            $off = NormalDistribution::quantile(min(
                1 - 1e-15,
                max(1e-15, $this->chanceBetween(-INF, $at, $shift, $noise, $way)),
            ))
                - $wanted;
            if (abs($off) < 1e-6) {
                break;
            }
            $off < 0.0 ? $low = $at : $high = $at;
            $slope = $before === null || $at === $before[0]
                ? $slope
                : max(0.05 / $deviation, ($off - $before[1]) / ($at - $before[0]));
            $before = [$at, $off];
            $next = $at - $off / $slope;
            $at = $next > $low && $next < $high ? $next : ($low + $high) / 2;
        }

        return $at;
    }
}
