<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

use VividPull\Core\Family\Drift;
use VividPull\Core\Family\Family;
use VividPull\Core\Procedure\WearCause;
use VividPull\Core\Spec\SpecBand;
use VividPull\Core\Statistics\NormalDistribution;
use VividPull\Core\Statistics\ThroughOrigin;

/**
 * How the play of one control moves by itself from look to look, what does that, and how long it will keep.
 *
 * The rate is a weighted line through the origin over the intervals since the last new part, bedding-in and jumps
 * apart. Its standard error is never taken to be less than what the readings' own uncertainty gives.
 */
final readonly class WearStory
{
    /**
     * Intervals that must carry a cause before it is named, and standard errors that the rate must be away from zero.
     */
    private const INTERVALS_TO_NAME = 2;

    private const ERRORS_TO_NAME = 2.0;

    /**
     * Of all intervals together, so that with the scatter they show at most 3 % are called jumps that are none (ours).
     */
    private const FALSE_ALARM = 0.016;

    /**
     * Degrees of freedom that the readings' own uncertainty counts for beside the scatter that few intervals show
     * (ours).
     */
    private const KNOWN = 8.0;

    /** Uses as long as all that was seen, beyond which nothing is foretold (ours). */
    private const FARTHEST = 50;

    /** Intervals that must stand against one that jumped. */
    private const AGAINST_A_JUMP = 2;

    /** Looks in a row found outside on one side before replacing is spoken of (ours). */
    private const AGAIN_AND_AGAIN = 3;

    private function __construct(
        /** @var list<WearInterval> oldest first */
        public array $intervals,
        /** mm of play for each unit of use; null from no interval. */
        public ?float $slope,
        /** Null from fewer than two intervals. */
        public ?float $error,
        public ?WearCause $cause,
        public ?LimitAhead $low,
        public ?LimitAhead $high,
        /** Whether it was found outside on the same side look after look. */
        public bool $again,
        private Family $family,
    ) {}

    /**
     * @param  list<JobRecord>  $records  oldest first
     * @param  float  $ratio  R at the reading point, above zero
     */
    public static function of(array $records, SpecBand $band, Family $family, float $ratio): self
    {
        $intervals = self::sorted(self::intervals($records, $ratio));
        $line = self::line(array_values(array_filter(
            $intervals,
            static fn (WearInterval $one): bool => $one->kind === IntervalKind::Wear,
        )));
        $error = $line === null || $line->freedom() < 1 ? null : $line->standardError(1.0);
        $left = $records === [] ? null : $records[count($records) - 1]->left;
        $ahead = static fn (?float $limit): ?LimitAhead => $limit === null
            || $left === null
            || $line === null
            || $error === null
            ? null
            : LimitAhead::of(
                $limit,
                $left,
                $line->slope,
                $error,
                $line->freedom(),
                self::FARTHEST * array_sum(array_map(static fn (WearInterval $one): float => $one->use(), $intervals)),
            );

        return new self(
            $intervals,
            $line?->slope,
            $error,
            self::cause($line, $error, $family),
            $ahead($band->low ?? 0.0),
            $ahead($band->high),
            self::isAgain($records),
            $family,
        );
    }

    /**
     * Use from the last look by which the edge that it drifts to is reached with a chance of 5 % at most; null where
     * nothing says so.
     */
    public function bound(): ?float
    {
        return match (true) {
            $this->slope === null => null,
            $this->slope < 0.0 => $this->low?->bound,
            default => $this->high?->bound,
        };
    }

    public function jump(): ?WearInterval
    {
        foreach (array_reverse($this->intervals) as $interval) {
            if ($interval->kind === IntervalKind::Jump) {
                return $interval;
            }
        }

        return null;
    }

    /** @return int intervals that carry the rate */
    public function carried(): int
    {
        return count(array_filter(
            $this->intervals,
            static fn (WearInterval $one): bool => $one->kind === IntervalKind::Wear,
        ));
    }

    /** What to replace, where setting it again and again is no cure. */
    public function replace(): ?string
    {
        return $this->again ? ($this->cause ?? $this->family->wearCause($this->family->drift()))->replace() : null;
    }

    /**
     * @param  list<JobRecord>  $records
     * @return list<WearInterval>
     */
    private static function intervals(array $records, float $ratio): array
    {
        $intervals = [];
        foreach (array_slice($records, 1) as $n => $to) {
            if ($records[$n]->startsOver()) {
                $intervals = array_map(
                    static fn (WearInterval $one): WearInterval => $one->as(IntervalKind::Before),
                    $intervals,
                );
            }
            $intervals[] = WearInterval::between($records[$n], $to, $ratio);
        }

        return $intervals;
    }

    /**
     * Jumps are set apart, the worst first, so long as two others stand against it.
     *
     * @param  list<WearInterval>  $intervals
     * @return list<WearInterval>
     */
    private static function sorted(array $intervals): array
    {
        while (true) {
            $wear = array_filter($intervals, static fn (WearInterval $one): bool => $one->kind === IntervalKind::Wear);
            $worst = null;
            foreach (count($wear) > self::AGAINST_A_JUMP ? $wear : [] as $n => $one) {
                $away = self::away($one, array_values(array_diff_key($wear, [$n => true])));
                if (
                    $away > NormalDistribution::quantile(1 - self::FALSE_ALARM / (2 * count($wear)))
                    && ($worst === null || $away > $worst[1])
                ) {
                    $worst = [$n, $away];
                }
            }
            if ($worst === null) {
                return array_values($intervals);
            }
            $intervals[$worst[0]] = $intervals[$worst[0]]->as(IntervalKind::Jump);
        }
    }

    /**
     * How far an interval lies from what the others foretell, in combined standard uncertainties.
     *
     * @param  list<WearInterval>  $others
     */
    private static function away(WearInterval $one, array $others): float
    {
        $line = self::line($others);
        if ($line === null || $one->drift === null) {
            return 0.0;
        }
        $scatter = sqrt((self::KNOWN + $line->freedom() * ($line->residual ?? 1.0) ** 2) / (self::KNOWN
            + $line->freedom()));

        return abs($one->drift - $line->slope * $one->use()) / ($scatter * hypot(
            $one->standard,
            $line->errorOfUnit() * $one->use(),
        ));
    }

    /** @param  list<WearInterval>  $intervals */
    private static function line(array $intervals): ?ThroughOrigin
    {
        return $intervals === [] ? null : ThroughOrigin::of(array_map(
            static fn (WearInterval $one): array => [
                'x' => $one->use(),
                'y' => $one->drift ?? 0.0,
                'weight' => $one->weight(),
            ],
            $intervals,
        ));
    }

    private static function cause(?ThroughOrigin $line, ?float $error, Family $family): ?WearCause
    {
        return $line === null
            || $error === null
            || $line->points < self::INTERVALS_TO_NAME
            || abs($line->slope) < self::ERRORS_TO_NAME * $error
            ? null
            : $family->wearCause($line->slope > 0.0 ? Drift::GrowsPlay : Drift::ShrinksPlay);
    }

    /** @param  list<JobRecord>  $records */
    private static function isAgain(array $records): bool
    {
        $sides = array_map(
            static fn (JobRecord $record): FoundSide => $record->side,
            array_slice($records, -self::AGAIN_AND_AGAIN),
        );

        return count($sides) === self::AGAIN_AND_AGAIN
            && $sides[0] !== FoundSide::Inside
            && count(array_unique($sides, SORT_REGULAR)) === 1;
    }
}
