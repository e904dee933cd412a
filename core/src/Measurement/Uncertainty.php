<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Statistics\SampleDeviation;
use VividPull\Core\Statistics\StudentDistribution;
use VividPull\Core\Statistics\WelchSatterthwaite;

/**
 * The mean of repeated readings and how well it is known, after JCGM 100:2008.
 *
 * Type A: s/√n from three readings on, else the pooled s of person and instrument over √n. Type B: resolution/√12
 * for each mark read. Calibration: U/k, kept apart because readings with one instrument share it.
 */
final readonly class Uncertainty
{
    private const COVERAGE = 0.95;

    private const OWN_DEVIATION_FROM = 3;

    private function __construct(
        public float $mean,
        public int $count,
        public float $repeat,
        public float $repeatFreedom,
        public float $resolution,
        public float $calibration,
        /** Type A part by all that is known of the person and instrument, these readings included. */
        private float $pooledRepeat,
    ) {}

    /**
     * @param  non-empty-list<float>  $values  mm
     * @param  float  $step  the coarser of the instrument's resolution and the step the person wrote in, mm
     */
    public static function ofReadings(array $values, Instrument $instrument, Repeatability $pooled, float $step): self
    {
        $n = count($values);
        $own = $n >= self::OWN_DEVIATION_FROM;
        $deviation = $own ? SampleDeviation::of($values) : $pooled->deviation;
        $all = $n < 2 ? $pooled : $pooled->with(SampleDeviation::of($values), $n - 1.0);

        return new self(
            array_sum($values) / $n,
            $n,
            $deviation / sqrt($n),
            $own ? $n - 1.0 : $pooled->freedom,
            self::ofResolution($instrument, $step),
            $instrument->calibration?->standard() ?? 0.0,
            $all->deviation / sqrt($n),
        );
    }

    /** What n readings with an instrument could be expected to reach, before any is taken. */
    public static function expected(float $mean, int $n, Instrument $instrument, Repeatability $pooled): self
    {
        return new self(
            $mean,
            $n,
            $pooled->deviation / sqrt($n),
            $pooled->freedom,
            self::ofResolution($instrument, $instrument->resolution),
            $instrument->calibration?->standard() ?? 0.0,
            $pooled->deviation / sqrt($n),
        );
    }

    /**
     * The same readings as another point would have shown them.
     *
     * @param  float  $relative  relative standard uncertainty of the factor; shared by all it converts, so it stands with the calibration
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
            $this->pooledRepeat * $factor,
        );
    }

    /** Combined standard uncertainty in mm. */
    public function standard(): float
    {
        return sqrt($this->repeat ** 2 + $this->resolution ** 2 + $this->calibration ** 2);
    }

    /**
     * For differences, and so for learning: without what all readings of one instrument share, and with the spread of
     * all that is known of the person, since three readings that happen to agree would else count far too much.
     */
    public function standardOfDifference(): float
    {
        return sqrt($this->pooledRepeat ** 2 + $this->resolution ** 2);
    }

    /** What the next three readings by this person with this instrument can be expected to have, calibration apart. */
    public function standardOfNext(): float
    {
        return sqrt($this->pooledRepeat ** 2 * $this->count / self::OWN_DEVIATION_FROM + $this->resolution ** 2);
    }

    public function freedom(): float
    {
        return WelchSatterthwaite::freedom([
            ['u' => $this->repeat, 'freedom' => $this->repeatFreedom],
            ['u' => sqrt($this->resolution ** 2 + $this->calibration ** 2), 'freedom' => INF],
        ]);
    }

    /** U at 95 %: Student's factor for the truncated effective degrees of freedom, times the combined uncertainty. */
    public function expanded(): float
    {
        $freedom = $this->freedom();
        $whole = is_infinite($freedom) ? PHP_INT_MAX : max(1, (int) min(floor($freedom), 1e9));

        return StudentDistribution::coverageFactor(self::COVERAGE, $whole) * $this->standard();
    }

    /** One rectangular part a mark, added in squares. */
    private static function ofResolution(Instrument $instrument, float $step): float
    {
        return $step / sqrt(12) * sqrt($instrument->kind->marksRead());
    }
}
