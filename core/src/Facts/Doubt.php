<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Run;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Measurement\Agreement;
use VividPull\Core\Measurement\Uncertainty;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Statistics\StudentDistribution;

/**
 * A question about a reading, put before it is kept as evidence: it does not go with the others of its group, it jumped
 * with nothing moved in between, or it is more than the control can do. Taken back, stood by, or outnumbered by further
 * readings, it is settled.
 */
final readonly class Doubt
{
    /** A slipped decimal point: ten times the others, by ear (ours). */
    private const TENFOLD = [8.0, 12.5];

    /** Chance that a control which stands still is said to have jumped (ours). */
    private const JUMP = 0.001;

    /** A grip or a pedal does not turn further than this, in radians: a third of a circle (ours). */
    private const FARTHEST_TURN = 2.1;

    private function __construct(
        /** The reading asked about. */
        public ReadingTaken $reading,
        /** One sentence that ends in a question. */
        public string $question,
    ) {}

    /** @param  non-empty-list<ReadingTaken>  $readings */
    public static function ofGroup(array $readings, Agreement $agreement): self
    {
        $last = $readings[count($readings) - 1];
        if ($agreement->kept === []) {
            return new self($last, self::listed($readings).' do not go together: misread?');
        }
        $odd = $readings[$agreement->odd[0]];
        $others = array_sum(array_map(
            static fn (int $place): float => $readings[$place]->mm,
            $agreement->kept,
        )) / count($agreement->kept);

        return new self(
            $odd,
            "{$odd->entered} does not go with the others: "
                .(self::isTenfold($odd->mm, $others) ? 'a slipped decimal point?' : 'misread?'),
        );
    }

    /**
     * A reading that the control cannot have shown: a lever's point moves less than its distance from the pivot.
     *
     * @param  non-empty-list<ReadingTaken>  $readings
     * @param  array<string, true>  $upheld
     */
    public static function beyond(array $readings, Run $run, array $upheld): ?self
    {
        $most = self::farthest($run, $readings[0]);
        foreach ($readings as $reading) {
            if ($most !== null && $reading->mm > $most && ! isset($upheld[$reading->stamp->id])) {
                return new self(
                    $reading,
                    "{$reading->entered} is more than this control can move at the {$reading->point->label()}, "
                        .Figure::length($most).' by its distances: misread?',
                );
            }
        }

        return null;
    }

    /**
     * A group that differs from the last one with nothing moved in between.
     *
     * @param  array<string, true>  $upheld
     */
    public static function jumped(ReadingGroup $before, ReadingGroup $now, array $upheld): ?self
    {
        if (array_filter(
            $now->readings,
            static fn (ReadingTaken $one): bool => isset($upheld[$one->stamp->id]),
        ) !== []) {
            return null;
        }
        if (self::differ(
            $now,
            $before->found->mean,
            $before->found->standardOfDifference(),
            $before->found->freedom(),
        )) {
            return self::wasBefore($before->found->mean, $now);
        }
        // What somebody stood by is not lost in a mean with what else was read: it stands for itself.
        $single = hypot(
            $before->pooled->deviation,
            Uncertainty::ofResolution($before->instrument, $before->instrument->resolution),
        );
        foreach ($before->readings as $one) {
            if (isset($upheld[$one->stamp->id]) && self::differ($now, $one->mm, $single, $before->pooled->freedom)) {
                return self::wasBefore($one->mm, $now);
            }
        }

        return null;
    }

    private static function differ(ReadingGroup $now, float $before, float $standard, float $freedom): bool
    {
        $u = hypot($standard, $now->found->standardOfDifference());

        return $u > 0.0
            && 2 * (1
                - StudentDistribution::cumulative(
                    abs($now->found->mean - $before) / $u,
                    max(1.0, min($freedom, $now->found->freedom())),
                )) < self::JUMP;
    }

    private static function wasBefore(float $before, ReadingGroup $now): self
    {
        return new self(
            $now->last(),
            'Read '.Figure::length($before).' before and '.Figure::length($now->found->mean)
                .' now, and nothing was moved in between: '
                .(self::isTenfold($now->found->mean, $before)
                    ? 'a slipped decimal point?'
                    : 'misread, or did something slip?'),
        );
    }

    private static function farthest(Run $run, ReadingTaken $reading): ?float
    {
        $distance = $run->hand->pointMm[$reading->point->value] ?? null;

        return $distance === null ? null : match ($run->hand->kind) {
            HandKind::Lever => $distance,
            default => self::FARTHEST_TURN * $distance,
        };
    }

    private static function isTenfold(float $one, float $other): bool
    {
        if ($one <= 0.0 || $other <= 0.0) {
            return false;
        }
        $ratio = max($one, $other) / min($one, $other);

        return $ratio >= self::TENFOLD[0] && $ratio <= self::TENFOLD[1];
    }

    /** @param  non-empty-list<ReadingTaken>  $readings */
    private static function listed(array $readings): string
    {
        $words = array_map(static fn (ReadingTaken $one): string => $one->entered, $readings);
        $last = array_pop($words);

        return $words === [] ? $last : implode(', ', $words)." and {$last}";
    }
}
