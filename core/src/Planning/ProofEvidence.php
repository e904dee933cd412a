<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Facts\TriedProof;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\Measuring;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/**
 * What failed proofs say about the setting: more slack than here, or less, or no matter of slack. Each bounds the good setting from where
 * it was tried; the next move is the smallest sensible step towards what all of them allow, within the band. Where none is left the cause
 * lies elsewhere.
 */
final readonly class ProofEvidence
{
    /** @param  list<array{proof: Proof, answer: Checked, bearing: Bearing}>  $failed  since the last move, as they are asked */
    private function __construct(private Spec $spec, private Run $run, private Facts $facts, public array $failed) {}

    public static function of(Spec $spec, Run $run, Facts $facts): self
    {
        $failed = [];
        foreach ($spec->proofs($run) as $proof) {
            foreach ($proof->tries() as $pose) {
                $answer = $facts->answers->checks[Facts::checkKey($proof->key, $pose?->value)] ?? null;
                $bearing = $answer === null || $facts->passes($proof, $answer) ? null : $proof->bearing($answer->answer);
                if ($answer !== null && $bearing !== null && ! ($facts->chosen->byChoice !== null && $proof->tolerates($answer->answer))) {
                    $failed[] = ['proof' => $proof, 'answer' => $answer, 'bearing' => $bearing];
                }
            }
        }

        return new self($spec, $run, $facts, $failed);
    }

    /** The one way that all of them ask for; null where none asks for slack, or they contradict each other. */
    public function bearing(): ?Bearing
    {
        $ways = array_values(array_unique(array_map(static fn (array $one): string => $one['bearing']->value, $this->ofSlack())));

        return count($ways) === 1 && ! $this->isContradicted(Bearing::from($ways[0])) ? Bearing::from($ways[0]) : null;
    }

    /** Whether one asks for more slack here and another for less, here or before. */
    public function isContradictory(): bool
    {
        return $this->bearing() === null && $this->ofSlack() !== [];
    }

    /**
     * The part of the band, in mm of play, in which a step that way stays and that no proof excludes; null where there is no room for the
     * smallest step of any adjuster.
     *
     * @param  SpecBand  $band  what straight must keep so that every pose stays inside
     * @param  float  $perSlack  mm of play for one of slack
     */
    public function room(ReadingGroup $now, SpecBand $band, float $perSlack): ?SpecBand
    {
        $bearing = $this->bearing();
        if ($bearing === null) {
            return null;
        }
        $here = $now->found->mean;
        $short = $this->shortOfOpen();
        if ($short !== null && $bearing === Bearing::LessSlack) {
            return $this->roomToOpen($here, $band, $perSlack, $short);
        }
        $bound = $this->bound($bearing);
        [$from, $to] = $bearing === Bearing::MoreSlack
            ? [$here, min($band->ceiling(), $here + $perSlack * ($bound - $this->facts->readings->slack))]
            : [max($band->floor(), $here - $perSlack * ($this->facts->readings->slack - $bound)), $here];
        $to = is_finite($to) ? $to : $here + 2 * $perSlack * $this->smallest();

        return $to - $from >= $perSlack * $this->smallest() ? SpecBand::between($from, $to) : null;
    }

    /**
     * How far the carburettor still has to go at full pull, in mm at the wire, measured since the last move; null where nobody measured it, or
     * it opens fully.
     */
    public function shortOfOpen(): ?float
    {
        $fails = array_filter($this->failed, static fn (array $one): bool => $one['proof']->key === Proof::WIDE_OPEN) !== [];
        $values = $fails ? Measuring::current($this->facts, MeasureKey::ShortOfOpen) : [];

        return $values === [] ? null : array_sum($values) / count($values);
    }

    /** What still lacks is taken up, and no more: where that is inside the band. */
    private function roomToOpen(float $here, SpecBand $band, float $perSlack, float $short): ?SpecBand
    {
        $step = $perSlack * $this->smallest();
        $aim = $here - $perSlack * $short;
        $from = max($band->floor(), $aim - 1.5 * $step);
        $to = min($here, $aim + 0.5 * $step);

        return $to - $from >= $step ? SpecBand::between($from, $to) : null;
    }

    /** Whether a gate failed, or what is tried by hand: nothing is run before that is mended. */
    public function isUnsafe(): bool
    {
        return array_filter($this->failed, static fn (array $one): bool => $one['proof']->gate !== null || ! $one['proof']->running->runs()) !== [];
    }

    /** What failed and what it asks for, a sentence. */
    public function said(): string
    {
        $short = $this->shortOfOpen();

        return implode(' ', array_map(static fn (array $one): string => "“{$one['proof']->question}” ".($one['proof']->answers[$one['answer']->answer] ?? $one['answer']->answer).": {$one['bearing']->says()}.", $this->failed))
            .($short === null ? '' : ' It still has '.Figure::length($short).' to go.');
    }

    /** What failed, and why no setting cures it. */
    public function whyNoSetting(): string
    {
        return $this->said().match (true) {
            $this->isContradictory() => ' No setting does both.',
            $this->shortOfOpen() !== null => ' Taken up by that, it would stand below its band: it is in its band and yet short. Look at the bracket, the cable, and the stop of the control itself.',
            $this->ofSlack() !== [] => ' No step that way is left inside the band.',
            default => '',
        };
    }

    /** The same, and where to look. */
    public function elsewhere(): string
    {
        $imitators = Families::of($this->spec->family)->imitators();

        return $this->whyNoSetting().' Look for: '.($imitators === [] ? 'a stiff pivot, a weak spring, a route that binds.' : implode(' ', $imitators));
    }

    /** @return list<array{proof: Proof, answer: Checked, bearing: Bearing}> those that ask for slack, one way or the other */
    private function ofSlack(): array
    {
        return array_values(array_filter($this->failed, static fn (array $one): bool => $one['bearing'] !== Bearing::Elsewhere));
    }

    /** Whether a proof at another setting, or at this one, excluded everything that way. */
    private function isContradicted(Bearing $bearing): bool
    {
        $bound = $this->bound($bearing);

        return $bearing === Bearing::MoreSlack ? $bound <= $this->facts->readings->slack + 1e-9 : $bound >= $this->facts->readings->slack - 1e-9;
    }

    /** Where the other way was asked for, in mm of slack: the good setting lies on this side of it. */
    private function bound(Bearing $bearing): float
    {
        $opposite = $bearing === Bearing::MoreSlack ? Bearing::LessSlack : Bearing::MoreSlack;
        $at = [];
        foreach ($this->facts->observations->tried as $tried) {
            if ($tried->series === $this->facts->readings->series && $this->bearingOf($tried) === $opposite) {
                $at[] = $tried->slack;
            }
        }

        return $bearing === Bearing::MoreSlack ? min([INF, ...$at]) : max([-INF, ...$at]);
    }

    private function bearingOf(TriedProof $tried): ?Bearing
    {
        foreach ($this->spec->proofs($this->run) as $proof) {
            if ($proof->key === $tried->entry->key) {
                return $proof->bearing($tried->entry->answer);
            }
        }

        return null;
    }

    /** Slack of the smallest step that any of its usual adjusters makes, in mm. */
    private function smallest(): float
    {
        $steps = array_map(static fn (Adjuster $one): float => abs($one->slackGiven($one->smallestStep())), array_filter($this->run->playAdjusters(), static fn (Adjuster $one): bool => ! $one->kind()->isLastResort()));

        return $steps === [] ? INF : min($steps);
    }
}
