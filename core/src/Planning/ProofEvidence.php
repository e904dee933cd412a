<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Facts\TriedProof;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\Gates;
use VividPull\Core\Judging\Judging;
use VividPull\Core\Judging\Measuring;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Procedure\Bearing;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/**
 * What failed proofs say about the setting: more slack than here, or less, or no matter of slack. Each bounds the good
 * setting from where it was tried; the next move is the smallest sensible step towards what all of them allow, within
 * the band. Where none is left the cause lies elsewhere.
 */
final readonly class ProofEvidence
{
    /** Steps that a part of a band has room for, if it is to be set within; ours. */
    private const ROOM = 2.0;

    private const WHOLE_GROUP = 3;

    /** Each move goes half the way that is left, so that after so many settings hardly any is; ours. */
    private const ENOUGH = 4;

    /**
     * @param  list<array{proof: Proof, answer: Checked, bearing: Bearing, hasPlay: bool}>  $failed  since the last
     *     move, as they are asked; with whether a cable that has play was blamed for being taut
     */
    private function __construct(private Spec $spec, private Run $run, private Facts $facts, public array $failed) {}

    public static function of(Spec $spec, Run $run, Facts $facts): self
    {
        $failed = [];
        foreach ($spec->proofs($run) as $proof) {
            foreach ($proof->tries() as $pose) {
                $answer = $facts->answers->checks[Facts::checkKey($proof->key, $pose?->value)] ?? null;
                $bearing = $answer === null || $facts->passes($proof, $answer)
                    ? null
                    : $proof->bearing($answer->answer);
                if (
                    $answer !== null
                    && $bearing !== null
                    && ! ($facts->chosen->byChoice !== null && $proof->tolerates($answer->answer))
                ) {
                    $isTaut = $bearing === Bearing::Taut;
                    $failed[] = [
                        'proof' => $proof,
                        'answer' => $answer,
                        'bearing' => $isTaut ? Bearing::MoreSlack : $bearing,
                        'hasPlay' => $isTaut && self::hasPlay($spec, $facts, $pose),
                    ];
                }
            }
        }

        return new self($spec, $run, $facts, $failed);
    }

    /**
     * Whether the cable was read with play where the proof was tried, and where that was in no pose, in all of them:
     * then it holds nothing.
     */
    private static function hasPlay(Spec $spec, Facts $facts, ?Pose $pose): bool
    {
        $groups = $spec->aim === null ? [] : Judging::currentGroups($facts);
        foreach ($pose === null ? $spec->conditions->poses : [$pose] as $tried) {
            $group = $groups[$tried->value] ?? null;
            if (
                $group === null
                || $group->doubt !== null
                || $group->at->crossed
                || $group->found->chanceOfPlay() < Gates::SURE
            ) {
                return false;
            }
        }

        return $groups !== [];
    }

    /** The one way that all of them ask for; null where none asks for slack, or they contradict each other. */
    public function bearing(): ?Bearing
    {
        $ways = array_values(array_unique(array_map(
            static fn (array $one): string => $one['bearing']->value,
            $this->ofSlack(),
        )));

        return count($ways) === 1 && ! $this->isContradicted(Bearing::from($ways[0])) ? Bearing::from($ways[0]) : null;
    }

    /** Whether one asks for more slack here and another for less, here or before. */
    public function isContradictory(): bool
    {
        return $this->bearing() === null && $this->ofSlack() !== [];
    }

    /**
     * The part of the band, in mm of play, in which a step that way stays and that no proof excludes; null where there
     * is no room for the smallest step of any adjuster.
     *
     * @param  SpecBand  $band  what straight must keep so that every pose stays inside
     * @param  float  $perSlack  mm of play for one of slack
     */
    public function room(ReadingGroup $now, SpecBand $band, float $perSlack): ?SpecBand
    {
        $bearing = $this->bearing();
        if ($bearing === null || $this->failedAt($bearing) >= self::ENOUGH) {
            return null;
        }
        $band = $this->toldInside($now, $band);
        $here = $now->found->mean;
        $short = $this->shortOfOpen();
        if ($short !== null && $bearing === Bearing::LessSlack) {
            return $this->roomToOpen($here, $band, $perSlack, $short);
        }
        $slack = $this->facts->readings->slack;
        $bound = $this->bound($bearing);
        // Where it failed further that way already, what lies between is no better.
        $beyond = abs($this->furthest($bearing) - $slack);
        [$from, $to] = $bearing === Bearing::MoreSlack
            ? [$here + $perSlack * $beyond, min($band->ceiling(), $here + $perSlack * ($bound - $slack))]
            : [max($band->floor(), $here - $perSlack * ($slack - $bound)), $here - $perSlack * $beyond];
        $to = is_finite($to) ? $to : $from + 2 * $perSlack * $this->smallest();

        return $to - $from >= $perSlack * $this->smallest() ? SpecBand::between($from, $to) : null;
    }

    /** As far as readings would still be called inside: at the edge itself nothing could be told. */
    private function toldInside(ReadingGroup $now, SpecBand $band): SpecBand
    {
        $told = Conformity::acceptance(
            $band,
            $now->found->spreadOf(max(self::WHOLE_GROUP, $now->found->count)),
            $this->spec->rule,
        );

        return $told === null ? $band : SpecBand::between($told[0], is_finite($told[1]) ? $told[1] : null);
    }

    /**
     * The part of a band that no proof of this series excluded: nothing is planned to where one failed already. Null
     * where what they leave is no room to turn in.
     *
     * @param  float  $here  mm of play
     * @param  float  $perSlack  mm of play for one of slack
     */
    public function allowed(SpecBand $band, float $here, float $perSlack): ?SpecBand
    {
        [$least, $most] = [-INF, INF];
        foreach ($this->facts->answers->tried as $tried) {
            $bearing = $tried->series === $this->facts->readings->series ? $this->bearingOf($tried) : null;
            $least = $bearing === Bearing::MoreSlack ? max($least, $tried->slack) : $least;
            $most = $bearing === Bearing::LessSlack ? min($most, $tried->slack) : $most;
        }
        $step = $perSlack * $this->smallest();
        $now = $this->facts->readings->slack;
        $from = max($band->floor(), $here + $perSlack * ($least - $now));
        $to = min($band->ceiling(), $here + $perSlack * ($most - $now));

        return match (true) {
            is_infinite($least) && is_infinite($most) => $band,
            $to - $from >= self::ROOM * $step => SpecBand::between($from, is_finite($to) ? $to : null),
            default => null,
        };
    }

    /**
     * How far the carburettor still has to go at full pull, in mm at the wire, measured since the last move; null where
     * nobody measured it, or it opens fully.
     */
    public function shortOfOpen(): ?float
    {
        $fails = array_filter(
            $this->failed,
            static fn (array $one): bool => $one['proof']->key === Proof::WIDE_OPEN,
        ) !== [];
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
        return array_filter(
            $this->failed,
            static fn (array $one): bool => $one['proof']->gate !== null || ! $one['proof']->running->runs(),
        ) !== [];
    }

    /** What failed and what it asks for, a sentence. */
    public function said(): string
    {
        $short = $this->shortOfOpen();

        return implode(
            ' ',
            array_map(
                fn (array $one): string => "“{$one['proof']->question}” "
                    .($one['proof']->answers->words[$one['answer']->answer] ?? $one['answer']->answer)
                    .": {$this->says($one)}.",
                $this->failed,
            ),
        )
            .($short === null ? '' : ' It still has '.Figure::length($short).' to go.');
    }

    /** @param  array{proof: Proof, answer: Checked, bearing: Bearing, hasPlay: bool}  $one */
    private function says(array $one): string
    {
        return $one['hasPlay'] && $this->ofSlack() === []
            ? 'its cable has play, and so '.Bearing::Elsewhere->says()
            : $one['bearing']->says();
    }

    /** What failed, and why no setting cures it. */
    public function whyNoSetting(): string
    {
        $bearing = $this->bearing();
        $times = $bearing === null ? 0 : $this->failedAt($bearing);

        return $this->said().match (true) {
            $this->isContradictory() => ' No setting does both.',
            $this->shortOfOpen() !== null => ' Taken up by that, it would stand below its band: it is in its band and yet short. Look at the bracket, the cable, and the stop of the control itself.',
            $times >= self::ENOUGH => " It failed so at {$times} settings: that is hardly a matter of slack.",
            $this->ofSlack() !== [] && $this->hasFailedFurther() => ' It failed further that way, too, and no step is left inside the band.',
            $this->ofSlack() !== [] => ' No step that way is left inside the band.',
            default => '',
        };
    }

    /** @return list<Suspect> what is looked for where no setting cures it: of each that failed, the likeliest first */
    public function suspects(): array
    {
        $suspects = [];
        foreach ($this->failed as $one) {
            $suspects += array_column($one['proof']->suspects, null, 'what');
        }

        return array_values($suspects);
    }

    /** The same, and where to look. */
    public function elsewhere(): string
    {
        $suspects = array_values(array_unique(array_map(
            static fn (array $one): string => implode(', ', array_column($one['proof']->suspects, 'what')),
            array_filter($this->failed, static fn (array $one): bool => $one['proof']->suspects !== []),
        )));
        $imitators = Families::of($this->spec->family)->imitators();

        return $this->whyNoSetting().' Look for: '.match (true) {
            $suspects !== [] => implode('; ', $suspects).'.',
            $imitators !== [] => implode(' ', $imitators),
            default => 'a stiff pivot, a weak spring, a route that binds.',
        };
    }

    /**
     * @return list<array{proof: Proof, answer: Checked, bearing: Bearing, hasPlay: bool}> those that ask for slack, one
     *     way or the other; none where all of them blame a cable that has play
     */
    private function ofSlack(): array
    {
        $slack = array_values(array_filter(
            $this->failed,
            static fn (array $one): bool => $one['bearing'] !== Bearing::Elsewhere,
        ));

        return array_filter($slack, static fn (array $one): bool => ! $one['hasPlay']) === [] ? [] : $slack;
    }

    /** Whether a proof at another setting, or at this one, excluded everything that way. */
    private function isContradicted(Bearing $bearing): bool
    {
        $bound = $this->bound($bearing);

        return $bearing === Bearing::MoreSlack
            ? $bound <= $this->facts->readings->slack + 1e-9
            : $bound >= $this->facts->readings->slack - 1e-9;
    }

    /** Where the other way was asked for, in mm of slack: the good setting lies on this side of it. */
    private function bound(Bearing $bearing): float
    {
        $opposite = $bearing === Bearing::MoreSlack ? Bearing::LessSlack : Bearing::MoreSlack;
        $at = [];
        foreach ($this->facts->answers->tried as $tried) {
            if ($tried->series === $this->facts->readings->series && $this->bearingOf($tried) === $opposite) {
                $at[] = $tried->slack;
            }
        }

        return $bearing === Bearing::MoreSlack ? min([INF, ...$at]) : max([-INF, ...$at]);
    }

    /** At how many settings what fails now was tried and failed so, this one among them. */
    private function failedAt(Bearing $bearing): int
    {
        $at = [];
        foreach ($this->failedLike($bearing) as $slack) {
            $at[(string) round($slack, 6)] = true;
        }

        return count($at);
    }

    private function hasFailedFurther(): bool
    {
        $bearing = $this->bearing();

        return $bearing !== null && abs($this->furthest($bearing) - $this->facts->readings->slack) > 1e-9;
    }

    /**
     * In mm of slack, the furthest setting that way at which what fails now was tried and failed, this one among them.
     */
    private function furthest(Bearing $bearing): float
    {
        $at = $this->failedLike($bearing);

        return $bearing === Bearing::MoreSlack ? max($at) : min($at);
    }

    /** @return non-empty-list<float> in mm of slack, where what fails now was tried and failed so, here too */
    private function failedLike(Bearing $bearing): array
    {
        $failing = array_map(static fn (array $one): string => $one['proof']->key, $this->ofSlack());
        $at = [$this->facts->readings->slack];
        foreach ($this->facts->answers->tried as $tried) {
            if (
                $tried->series === $this->facts->readings->series
                && in_array($tried->entry->key, $failing, true)
                && $this->bearingOf($tried) === $bearing
            ) {
                $at[] = $tried->slack;
            }
        }

        return $at;
    }

    private function bearingOf(TriedProof $tried): ?Bearing
    {
        foreach ($this->spec->proofs($this->run) as $proof) {
            if ($proof->key === $tried->entry->key) {
                $bearing = $proof->bearing($tried->entry->answer);

                return $bearing === Bearing::Taut ? Bearing::MoreSlack : $bearing;
            }
        }

        return null;
    }

    /** Slack of the smallest step that any of its usual adjusters makes, in mm. */
    private function smallest(): float
    {
        return $this->run->leastSlack(static fn (Adjuster $one): bool => ! $one->kind()->isLastResort());
    }
}
