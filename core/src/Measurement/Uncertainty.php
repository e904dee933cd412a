<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Statistics\SampleDeviation;
use VividPull\Core\Statistics\StudentDistribution;
use VividPull\Core\Statistics\WelchSatterthwaite;

/**
 * The mean of repeated readings and how well it is known, after JCGM 100:2008.
 *
 * Type A: s/√n, where s puts the readings' own spread together with what is known of the person and the instrument from
 * before, each weighed by its degrees of freedom: s² = (ν₀s₀² + (n − 1)s₁²)/(ν₀ + n − 1). That is the posterior of a
 * variance with a scaled inverse chi-square before it (Gelman et al., Bayesian Data Analysis, 3rd ed., 3.3), and the
 * mean then is Student's with ν₀ + n − 1. So three readings that agree by chance count for no more than they should.
 * Type B: resolution/√12 for each mark read, which does not average away. Calibration: U/k, kept apart because readings
 * with one instrument share it. Where a study of play told how far hands differ with the instrument, that stands beside
 * it with the degrees of freedom of its few hands: who reads may be the one who reads high.
 */
final readonly class Uncertainty
{
    private const COVERAGE = 0.95;

    private const NEXT = 3;

    /** Readings that fall on one mark say no more of a hand than that it repeats within a third of the marks (ours). */
    private const FINEST_HAND = 3.0;

    private function __construct(
        public float $mean,
        public int $count,
        public float $repeat,
        public float $repeatFreedom,
        public float $resolution,
        public float $calibration,
        /** Between hands, with its degrees of freedom; what all readings of one hand share. */
        private Repeatability $hands,
        /** The marks, or the step it was written in where that is coarser; mm. */
        private float $step,
    ) {}

    /**
     * @param  non-empty-list<float>  $values  mm
     * @param  float  $step  the coarser of the instrument's resolution and the step the person wrote in, mm
     * @param  bool  $together  false where the person stands by readings that do not go together: then only their own
     *     spread tells
     */
    public static function ofReadings(
        array $values,
        Instrument $instrument,
        Repeatability $pooled,
        float $step,
        bool $together = true,
    ): self {
        $n = count($values);
        $spread = match (true) {
            $n < 2 => $pooled,
            $together => $pooled->with(SampleDeviation::of($values), $n - 1.0),
            default => Repeatability::pooled(max($pooled->deviation, SampleDeviation::of($values)), $n - 1.0),
        };

        return self::by(array_sum($values) / $n, $n, $spread, $instrument, $step);
    }

    /** What n readings with an instrument could be expected to reach, before any is taken. */
    public static function expected(float $mean, int $n, Instrument $instrument, Repeatability $pooled): self
    {
        return self::by(
            $mean,
            $n,
            $n < 2 ? $pooled : $pooled->with($pooled->deviation, $n - 1.0),
            $instrument,
            $instrument->resolution,
        );
    }

    private static function by(float $mean, int $n, Repeatability $spread, Instrument $instrument, float $step): self
    {
        return new self(
            $mean,
            $n,
            max($spread->deviation, $step / self::FINEST_HAND) / sqrt($n),
            $spread->freedom,
            self::ofResolution($instrument, $step),
            $instrument->calibration?->standard() ?? 0.0,
            $instrument->hands ?? Repeatability::pooled(0.0, INF),
            $step,
        );
    }

    /**
     * The same readings as another point would have shown them.
     *
     * @param  float  $relative  relative standard uncertainty of the factor; shared by all it converts, so it stands
     *     with the calibration
     */
    public function scaled(float $factor, float $relative): self
    {
        return new self(
            $this->mean * $factor,
            $this->count,
            $this->repeat * $factor,
            $this->repeatFreedom,
            $this->resolution * $factor,
            hypot($this->calibration * $factor, $this->mean * $factor * $relative),
            Repeatability::pooled($this->hands->deviation * abs($factor), $this->hands->freedom),
            $this->step * $factor,
        );
    }

    /** Combined standard uncertainty in mm. */
    public function standard(): float
    {
        return sqrt($this->repeat ** 2 + $this->resolution ** 2 + $this->shared() ** 2);
    }

    /** What all readings of one hand with one instrument share. */
    private function shared(): float
    {
        return hypot($this->calibration, $this->hands->deviation);
    }

    /** For differences, and so for learning: without what all readings of one instrument share. */
    public function standardOfDifference(): float
    {
        return sqrt($this->repeat ** 2 + $this->resolution ** 2);
    }

    /** What the next three readings by this person with this instrument can be expected to have, calibration apart. */
    public function standardOfNext(): float
    {
        return sqrt($this->repeat ** 2 * $this->count / self::NEXT + $this->resolution ** 2);
    }

    /** How this mean may lie about the truth. */
    public function spread(): Spread
    {
        return $this->spreadOf($this->count);
    }

    /** The same of so many readings of the same hand. */
    public function spreadOf(int $n): Spread
    {
        $repeat = $this->repeat * sqrt($this->count / $n);
        $freedom = WelchSatterthwaite::freedom([
            ['u' => $repeat, 'freedom' => $this->repeatFreedom + $n - $this->count],
            ['u' => $this->hands->deviation, 'freedom' => $this->hands->freedom],
            ['u' => hypot($this->resolution, $this->calibration), 'freedom' => INF],
        ]);

        return Spread::rounded(
            sqrt($repeat ** 2 + $this->resolution ** 2 + $this->shared() ** 2),
            $freedom,
            hypot($repeat, $this->shared()),
            $this->ofOneReading(),
            $this->step,
            $n,
        );
    }

    /** Standard deviation of one reading by hand, marks and calibration apart, in mm. */
    public function ofOneReading(): float
    {
        return $this->repeat * sqrt($this->count);
    }

    public function freedom(): float
    {
        return WelchSatterthwaite::freedom([
            ['u' => $this->repeat, 'freedom' => $this->repeatFreedom],
            ['u' => $this->hands->deviation, 'freedom' => $this->hands->freedom],
            ['u' => hypot($this->resolution, $this->calibration), 'freedom' => INF],
        ]);
    }

    /** U at 95 %: Student's factor for the truncated effective degrees of freedom, times the combined uncertainty. */
    public function expanded(): float
    {
        return StudentDistribution::coverageFactor(
            self::COVERAGE,
            max(1, (int) min(floor($this->freedom()), 1e9)),
        ) * $this->standard();
    }

    /** P(play > 0). */
    public function chanceOfPlay(): float
    {
        return $this->standard() <= 0.0
            ? (float) ($this->mean > 0.0)
            : StudentDistribution::cumulative($this->mean / $this->standard(), $this->freedom());
    }

    /** One rectangular part a mark, added in squares. */
    public static function ofResolution(Instrument $instrument, float $step): float
    {
        return $step / sqrt(12) * sqrt($instrument->kind->marksRead());
    }
}
