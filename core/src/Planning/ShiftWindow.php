<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Learning\TaughtPlay;
use VividPull\Core\Spec\SpecBand;

/**
 * Which total shifts of slack would do, in mm of conduit, whichever adjusters give them.
 *
 * A shift does when the next reading would then be called inside with at least 95 % chance; where no shift within reach
 * is that sure, those within 0.02 of the best do (and of a small best, those with four fifths of it), so long as they
 * bring the expected reading inside. The first move of a job may pass the far edge with at most 5 % chance; the
 * smallest step there is may always be made, since nothing less can be tried. The chance has one peak along the shift.
 */
final class ShiftWindow
{
    public const SURE = 0.95;

    private const NEAR_BEST = 0.02;

    public const SHARE_OF_BEST = 0.8;

    /** A shift with less than this chance is no plan (ours). */
    public const LEAST = 0.01;

    private const OVERSHOOT = 0.05;

    /**
     * How many times as far a move may go as the least ratio that was told asks for, whatever its readings seem to
     * teach (ours).
     */
    private const FURTHEST = 2.0;

    private const HALVINGS = 8;

    private const GOLDEN = 0.6180339887498949;

    /** Places that a search looks at first, and sections beside the best of them. */
    private const PLACES = 12;

    private const SECTIONS = 16;

    /** mm of conduit: two ways of adding up the same step come out alike. */
    private const HAIR = 1e-9;

    /**
     * A chance at which a turn is worth making although play is not expected inside: two things are possible, and it
     * tells which (ours).
     */
    private const FAIR = 0.25;

    /** Worked out once, since every adjuster and every plan asks for it. */
    private ?float $peak = null;

    private ?float $level = null;

    /** @var array<string, array{float, float}> */
    private array $about = [];

    /** @param  array{float, float}|null  $accepted  readings that would be called inside; null where none would be */
    public function __construct(
        public readonly TaughtPlay $play,
        public readonly SpecBand $band,
        private readonly ?array $accepted,
        public readonly float $noise,
        public readonly ?float $target,
        private readonly bool $first,
        /** From which side every shift is come to in the end; null for the way of the shift itself. */
        public readonly ?float $way = null,
        /** Slack in mm of conduit that the smallest step of anything here gives. */
        private readonly float $leastStep = 0.0,
    ) {}

    /** The same, where the last turn goes this way whatever the shift: +1 gives slack, −1 takes it. */
    public function finishing(float $way): self
    {
        return new self(
            $this->play,
            $this->band,
            $this->accepted,
            $this->noise,
            $this->target,
            $this->first,
            $way,
            $this->leastStep,
        );
    }

    /** Chance that play itself, not only a reading of it, is inside the band after this shift. */
    public function chanceOfTruth(float $shift): float
    {
        return $this->play->chanceBetween($this->band->floor(), $this->band->ceiling(), $shift, 0.0, $this->way);
    }

    public function expected(float $shift): float
    {
        return $this->play->expected($shift, $this->way);
    }

    /** Chance that the next reading would be called inside after this shift. */
    public function chance(float $shift): float
    {
        [$from, $to] = $this->aimedAt();
        $mean = $this->play->expected($shift, $this->way);
        $reach = 6 * $this->play->deviation($shift, $this->noise, $this->way);
        if ($mean + $reach < $from || $mean - $reach > $to) {
            return 0.0;
        }

        return $this->play->chanceBetween($from, $to, $shift, $this->noise, $this->way);
    }

    /** Whether a move may go so far: none goes wild, and the first of a job is not to pass the far edge. */
    public function allows(float $shift): bool
    {
        return ! $this->isWild($shift)
            && (! $this->first
                || abs($shift) <= $this->leastStep + self::HAIR
                || $this->overshoot($shift) <= self::OVERSHOOT);
    }

    /**
     * Whether it would pass the far edge twice over if the machine were as it was told to be, and the readings wrong.
     */
    private function isWild(float $shift): bool
    {
        $far = max(abs($this->band->floor() - $this->level()), abs($this->band->ceiling() - $this->level()));

        return abs($shift) * $this->play->leastTold() > self::FURTHEST * $far;
    }

    /**
     * Whether a shift that is less than sure is worth making at all: a first move must at least lead towards the band.
     */
    public function isWorth(float $shift): bool
    {
        $then = $this->play->expected($shift, $this->way);
        $now = abs($this->band->beyond($this->play->expected(0.0)));

        return $this->band->contains($then)
            || ($this->first && abs($this->band->beyond($then)) < $now)
            || $this->chance($shift) >= self::FAIR;
    }

    /**
     * @param  float  $best  the best chance there is
     * @return array{float, float} the shifts among which those are that are worth making
     */
    public function worthRange(float $best): array
    {
        if ($best >= self::FAIR) {
            return [-INF, INF];
        }
        $now = $this->level();
        $beside = $this->first ? abs($this->band->beyond($now)) : 0.0;
        $at = fn (float $mm): float => ($mm - $now) / $this->play->ratio();

        return [
            $at($this->band->floor() - $beside) - 1e-9,
            $this->band->high === null ? INF : $at($this->band->high + $beside) + 1e-9,
        ];
    }

    /**
     * Distance from the target in mm, come to from the side that leads to it; with no high edge, the size of the move
     * itself, so that the smallest good one wins.
     */
    public function distance(float $shift): float
    {
        return $this->target === null ? abs($shift) : abs($shift - $this->aim()) * $this->play->ratio();
    }

    /** The shift at which the distance is nothing. */
    public function aim(): float
    {
        return $this->target === null ? 0.0 : ($this->target - $this->level()) / $this->play->ratio();
    }

    /** Where play stands, come to from the side that a shift towards the target would come from, in mm. */
    private function level(): float
    {
        return $this->level ??= $this->play->expected(0.0, $this->way ?? match (true) {
            $this->target === null => null,
            default => (float) ($this->target <=> $this->play->expected(0.0)),
        });
    }

    /** Where the chance is highest, among the shifts that are allowed. */
    public function peak(): float
    {
        return $this->peak ??= $this->findPeak();
    }

    /**
     * The shifts about the peak whose chance is at least this high, a hair too wide at either end.
     *
     * @return array{float, float}
     */
    public function about(float $peak, float $chance): array
    {
        return $this->about["{$peak} {$chance}"] ??= [
            $this->edge($peak, -1.0, $chance),
            $this->edge($peak, 1.0, $chance),
        ];
    }

    /** The least chance that counts as good as the best one. */
    public static function nearBest(float $best): float
    {
        return max($best - self::NEAR_BEST, self::SHARE_OF_BEST * $best);
    }

    public function does(float $shift, float $chance): bool
    {
        return $this->allows($shift) && $this->chance($shift) >= $chance;
    }

    private function findPeak(): float
    {
        [$from, $to] = $this->aimedAt();
        $now = $this->level();
        $high = is_infinite($to) ? $from + 20 * $this->play->deviation(0.0, $this->noise) : $to;
        [$a, $b] = [($from - $now) / $this->play->ratio(), ($high - $now) / $this->play->ratio()];
        $middle = ($a + $b) / 2;
        if (! $this->allows($middle)) {
            [$a, $b] = [0.0, $this->furthestAllowed($middle)];
        } elseif ($this->chance($middle) >= self::SURE) {
            return $middle;
        }
        $peak = $this->highest($a, $b, $middle);

        return $this->allows($peak) ? $peak : $this->furthestAllowed($peak);
    }

    /**
     * Where the chance is highest between two shifts: seen from a few places first, since it may have a shoulder, and
     * then by golden sections beside the best of them, each of which asks for one chance more.
     *
     * @param  float  $middle  of the band: far out the chance is nothing on either side, and the peak lies towards it
     */
    private function highest(float $from, float $to, float $middle): float
    {
        $height = fn (float $shift): array => [$this->chance($shift), -abs($shift - $middle)];
        $step = ($to - $from) / self::PLACES;
        [$best, $most] = [$from, $height($from)];
        for ($i = 1; $i <= self::PLACES; $i++) {
            $here = $height($from + $i * $step);
            if ($here > $most) {
                [$best, $most] = [$from + $i * $step, $here];
            }
        }
        [$a, $b] = [$best - $step, $best + $step];
        [$one, $other] = [$b - self::GOLDEN * ($b - $a), $a + self::GOLDEN * ($b - $a)];
        [$ofOne, $ofOther] = [$height($one), $height($other)];
        for ($i = 0; $i < self::SECTIONS; $i++) {
            if ($ofOne < $ofOther) {
                [$a, $one, $ofOne] = [$one, $other, $ofOther];
                $other = $a + self::GOLDEN * ($b - $a);
                $ofOther = $height($other);
            } else {
                [$b, $other, $ofOther] = [$other, $one, $ofOne];
                $one = $b - self::GOLDEN * ($b - $a);
                $ofOne = $height($one);
            }
        }

        return ($a + $b) / 2;
    }

    /** How far a first move may go towards a shift that is too far for it. */
    private function furthestAllowed(float $tooFar): float
    {
        $allowed = 0.0;
        for ($i = 0; $i < 3 * self::HALVINGS; $i++) {
            $middle = ($allowed + $tooFar) / 2;
            $this->allows($middle) ? $allowed = $middle : $tooFar = $middle;
        }

        return $allowed;
    }

    private function edge(float $peak, float $way, float $chance): float
    {
        $step = max(0.5, 2 * $this->play->deviation(0.0, $this->noise) / $this->play->ratio());
        $good = $peak;
        $bad = $peak + $way * $step;
        for ($i = 0; $i < 24 && $this->does($bad, $chance); $i++) {
            $good = $bad;
            $bad = $peak + $way * ($step *= 2);
        }
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($good + $bad) / 2;
            $this->does($middle, $chance) ? $good = $middle : $bad = $middle;
        }

        return $bad;
    }

    private function overshoot(float $shift): float
    {
        $now = $this->play->expected(0.0);

        return match (true) {
            $now > $this->band->ceiling() => $this->play->chanceBetween(-INF, $this->band->floor(), $shift, 0.0),
            $now < $this->band->floor() && $this->band->high !== null => 1
                - $this->play->chanceBetween(-INF, $this->band->high, $shift, 0.0),
            default => 0.0,
        };
    }

    /** @return array{float, float} */
    private function aimedAt(): array
    {
        return $this->accepted ?? [$this->band->floor(), $this->band->ceiling()];
    }
}
