<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Statistics\SampleDeviation;
use VividPull\Core\Statistics\StudentDistribution;
use VividPull\Core\Statistics\WelchSatterthwaite;

/**
 * Repeated values of something timed, paced or weighed by hand, and how well their mean is known (JCGM 100:2008).
 *
 * Their own spread is pooled with the usual one of such a measure, so that two runs that happen to agree count for no
 * more than they should; what all of them share is added in squares.
 */
final readonly class Repeated
{
    private function __construct(
        public float $mean,
        public int $count,
        private Repeatability $spread,
        private float $shared,
    ) {}

    /** @param  non-empty-list<float>  $values */
    public static function of(MeasureKey $key, array $values): self
    {
        $n = count($values);
        $usual = Repeatability::pooled($key->usualDeviation(), Repeatability::USUAL_FREEDOM);

        return new self(
            array_sum($values) / $n,
            $n,
            $n < 2 ? $usual : $usual->with(SampleDeviation::of($values), $n - 1.0),
            $key->sharedDeviation(),
        );
    }

    public function standard(): float
    {
        return sqrt($this->repeat() ** 2 + $this->shared ** 2);
    }

    /** How the mean may lie about the truth, times a factor, with so many more readings of the same mean and spread. */
    public function spread(float $factor = 1.0, int $more = 0): Spread
    {
        return Spread::of(
            $factor * sqrt($this->spread->deviation ** 2 / ($this->count + $more) + $this->shared ** 2),
            $this->freedom() + $more,
        );
    }

    public function freedom(): float
    {
        return WelchSatterthwaite::freedom([
            ['u' => $this->repeat(), 'freedom' => $this->spread->freedom],
            ['u' => $this->shared, 'freedom' => INF],
        ]);
    }

    public function expanded(): float
    {
        return StudentDistribution::coverageFactor(
            0.95,
            max(1, (int) min(floor($this->freedom()), 1e9)),
        ) * $this->standard();
    }

    private function repeat(): float
    {
        return $this->spread->deviation / sqrt($this->count);
    }
}
