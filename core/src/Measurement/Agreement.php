<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Statistics\StudentDistribution;

/**
 * Whether readings of one group go together, judged by how well the person is known to repeat, never by the group's own
 * spread: a misread rule or a slipped digit would hide in that.
 *
 * One reading of n lies off the mean of all by s·√(1 − 1/n) at a standard deviation; s has its own degrees of freedom,
 * so the distance over that is Student's, and the n distances share one chance of a false alarm (Bonferroni). The
 * reading furthest from the median is left out, and the rest is asked again, as long as more stay than were left out
 * (the deleted residual of Cook and Weisberg, Residuals and Influence in Regression, 1982, with s known from before).
 */
final readonly class Agreement
{
    /** Chance that readings which do go together are asked about; our own figure. */
    public const FALSE_ALARM = 0.005;

    /** Deviations that are plain however little is known of s. */
    private const PLAIN = 2.5;

    /** Others that must go together before a single odd one is left out without waiting for an answer (ours). */
    private const ENOUGH_OTHERS = 3;

    /**
     * @param  list<int>  $kept  places of the readings that go together
     * @param  list<int>  $odd  places of those that do not go with them; all, where no more than half go together
     */
    private function __construct(public array $kept, public array $odd) {}

    /**
     * Whether readings lie so close together that nothing is to be asked, as a glance shows.
     *
     * @param  non-empty-list<float>  $values
     */
    public static function isPlain(array $values, Repeatability $pooled, float $resolution): bool
    {
        return count($values) < 2
            || max($values) - min($values) <= self::PLAIN * sqrt($pooled->deviation ** 2 + $resolution ** 2);
    }

    /**
     * @param  non-empty-list<float>  $values  mm
     * @param  list<int>  $upheld  places of readings that a person stands by: they are never the odd ones
     * @param  float  $resolution  standard uncertainty of one reading by the marks, mm
     */
    public static function of(array $values, array $upheld, Repeatability $pooled, float $resolution): self
    {
        $single = sqrt($pooled->deviation ** 2 + $resolution ** 2);
        $kept = array_keys($values);
        $most = intdiv(count($values) - 1, 2);
        $odd = [];
        while (! self::goTogether(array_intersect_key($values, array_flip($kept)), $single, $pooled->freedom)) {
            $place = self::furthest(array_intersect_key($values, array_flip($kept)), $upheld);
            if ($place === null) {
                return new self(array_keys($values), []);
            }
            $odd[] = $place;
            $kept = array_values(array_diff($kept, [$place]));
            if (count($odd) > $most) {
                // No majority: all are asked about, unless a person stands by one of them, and so by what was asked.
                return $upheld === [] ? new self([], array_keys($values)) : new self(array_keys($values), []);
            }
        }

        return new self($kept, $odd);
    }

    /** Whether the ones left out are so outnumbered that the rest may stand by itself. */
    public function isSettled(): bool
    {
        return $this->odd === [] || (count($this->odd) === 1 && count($this->kept) >= self::ENOUGH_OTHERS);
    }

    /** @param  array<int, float>  $values */
    private static function goTogether(array $values, float $single, float $freedom): bool
    {
        $n = count($values);
        if ($n < 2 || $single <= 0.0) {
            return true;
        }
        $mean = array_sum($values) / $n;
        $most = max(max($values) - $mean, $mean - min($values)) / ($single * sqrt(1 - 1 / $n));

        return $most < self::PLAIN
            || StudentDistribution::within($most, max(1, (int) min(floor($freedom), 400))) < 1
                - self::FALSE_ALARM / ($n === 2 ? 1 : $n);
    }

    /**
     * @param  array<int, float>  $values
     * @param  list<int>  $upheld
     */
    private static function furthest(array $values, array $upheld): ?int
    {
        $sorted = array_values($values);
        sort($sorted);
        $n = count($sorted);
        $median = ($sorted[intdiv($n - 1, 2)] + $sorted[intdiv($n, 2)]) / 2;
        $open = array_diff_key($values, array_flip($upheld));
        uasort($open, static fn (float $one, float $other): int => abs($other - $median) <=> abs($one - $median));

        return array_key_first($open);
    }
}
