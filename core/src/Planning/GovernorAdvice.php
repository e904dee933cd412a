<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\AdjustedQuantity;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpeedCeiling;

/**
 * What to do about the governor's nut: last of all, and never past the maker's limit.
 *
 * Turned in it raises the speed. How much a turn gives is learned from two speeds of this job; until then it is taken
 * half a turn at a time. A move is advised only if even the upper end of what it would give stays within the limit.
 * Speeds here are those that are judged: on smaller tyres than the book's, what the same governor would give on the
 * book's.
 */
final readonly class GovernorAdvice
{
    private const NO_SLOWER = 'The nut has no thread left that way: do not run it. Look at the governor itself, and whether '
        .'its tyres and drive are the book\'s.';

    private const MEASURE_IT = 'Measure the speed once both cables are right. A slack cable is often why it is slow.';

    /** Speed a turn gives, in km/h, on the side of caution, where nothing was learned (ours). */
    private const USUAL_PER_TURN = 4.0;

    private const MOST_AT_ONCE = 0.5;

    private function __construct(public string $sentence, public ?string $adjuster, public ?Steps $steps) {}

    /** Null where there is no governor, or no limit to hold it against. */
    public static function of(Spec $spec, Run $run, Facts $facts, Judgement $judgement, ?Judgement $second): ?self
    {
        $nut = self::nut($run);
        $ceiling = $spec->other(SpeedCeiling::class);
        $speed = $judgement->measure(MeasureKey::GroundSpeed);
        if ($nut === null || $ceiling === null || $speed === null) {
            return null;
        }
        if ($speed->found === null) {
            return new self(self::MEASURE_IT, null, null);
        }
        $judged = $speed->found->mean * $speed->factor;
        $atMost = $judged + $speed->found->expanded() * $speed->factor;
        $perTurn = $speed->factor * self::perTurn($facts, $nut);
        $proven = $judgement->now->is(VerdictKind::Inside)
            && ($second === null || $second->now->is(VerdictKind::Inside));
        $open = self::unproved($spec, $run, $facts);

        return match (true) {
            $speed->verdict->kind->isOutside() => self::slower(
                $facts,
                $nut,
                $perTurn,
                $judged - $ceiling->atMostKmh,
                'it runs past its limit',
            ),
            $speed->verdict->is(VerdictKind::CantTell) => $speed->isWhole()
                ? self::slower($facts, $nut, $perTurn, $atMost - $ceiling->atMostKmh, 'it runs too near its limit to tell')
                : new self('It runs near its limit. Measure the speed again before the nut is touched.', null, null),
            ! $proven => new self('The governor waits: prove both cables first.', null, null),
            $open !== [] => new self(
                'The governor comes last. First: '.implode('; ', array_map(lcfirst(...), $open)).'.',
                null,
                null,
            ),
            default => self::faster($facts, $nut, $perTurn, $judged, $atMost, $ceiling),
        };
    }

    private static function nut(Run $run): ?Adjuster
    {
        foreach ($run->adjusters() as $one) {
            if ($one->kind()->sets() === AdjustedQuantity::Speed) {
                return $one;
            }
        }

        return null;
    }

    /**
     * @return list<string> proofs of opening, closing and taking off that failed, or were not tried since the last move
     *     of a cable
     */
    private static function unproved(Spec $spec, Run $run, Facts $facts): array
    {
        $open = array_filter(
            Families::of($spec->family)->proofs($run),
            static fn (Proof $proof): bool => ! $proof->passes($facts->answers->checks[$proof->key]->answer ?? ''),
        );

        return array_values(array_map(static fn (Proof $proof): string => rtrim($proof->question, '?'), $open));
    }

    /** @param  float  $beyond  km/h that have to go */
    private static function slower(Facts $facts, Adjuster $nut, float $perTurn, float $beyond, string $why): self
    {
        $turns = min(self::MOST_AT_ONCE, ceil(6 * $beyond / $perTurn) / 6);
        $flats = max(1, (int) round($turns * 6));
        $left = intdiv($facts->adjusters->room($nut)->to->count, Steps::PER_FLAT);

        return $left < 1
            ? new self(ucfirst("{$why}. ").self::NO_SLOWER, null, null)
            : self::said($nut, Steps::fromFlats(min($flats, $left)), $why);
    }

    /** @param  float  $atMost  upper end of the judged speed, in km/h */
    private static function faster(
        Facts $facts,
        Adjuster $nut,
        float $perTurn,
        float $judged,
        float $atMost,
        SpeedCeiling $ceiling,
    ): self {
        $wanted = min($ceiling->usualKmh ?? $ceiling->atMostKmh, $ceiling->atMostKmh);
        $safe = $ceiling->atMostKmh - $atMost;
        if ($atMost >= $wanted || $safe <= 0.0) {
            return new self('It reaches what it should, within its limit. The nut stays.', null, null);
        }
        $flats = (int) floor(6 * min(self::MOST_AT_ONCE, min($wanted - $judged, $safe) / $perTurn));
        $at = $facts->adjusters->at($nut);
        if ($flats < 1) {
            return new self('A flat more could pass the limit. The nut stays.', null, null);
        }
        $steps = Steps::fromFlats(-$flats);
        if ($at === null || ! $nut->safe()->contains($at->plus($steps))) {
            return new self(
                $at === null
                    ? 'Measure the thread behind the nut first.'
                    : 'No thread may be taken from the nut any more. Look for wear or a belt before the governor.',
                null,
                null,
            );
        }

        return self::said($nut, $steps, 'both cables are right and it is still slow');
    }

    private static function said(Adjuster $nut, Steps $steps, string $why): self
    {
        return new self(
            ucfirst("{$nut->name()}, {$nut->say($steps)}: {$why}. Then measure the speed again."),
            $nut->id(),
            $steps,
        );
    }

    /**
     * Speed for a turn of the nut, from the speeds before and after its moves in this job; the cautious figure until
     * there are two.
     */
    private static function perTurn(Facts $facts, Adjuster $nut): float
    {
        $learned = 0.0;
        $byMoves = [];
        foreach ($facts->observations->measures as $seen) {
            if ($seen->entry->key === MeasureKey::GroundSpeed) {
                $byMoves[$seen->moves][] = $seen->entry->value;
            }
        }
        $before = null;
        foreach ($byMoves as $moves => $values) {
            $mean = array_sum($values) / count($values);
            $turns = $before === null ? 0.0 : self::turned($facts, $nut, $before['moves'], $moves);
            $learned = $turns === 0.0 || $before === null
                ? $learned
                : max($learned, abs(($mean - $before['mean']) / $turns));
            $before = ['moves' => $moves, 'mean' => $mean];
        }

        return max($learned, $learned > 0.0 ? 0.5 : self::USUAL_PER_TURN);
    }

    private static function turned(Facts $facts, Adjuster $nut, int $from, int $to): float
    {
        $turns = 0.0;
        foreach (array_slice($facts->readings->moves, $from, $to - $from) as $move) {
            $turns += $move->entry->adjuster === $nut->id() ? $move->entry->steps?->toFloat() ?? 0.0 : 0.0;
        }

        return $turns;
    }
}
