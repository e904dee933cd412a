<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Facts\MoveMade;
use VividPull\Core\Planning\RatioFinding;
use VividPull\Core\Quantity\StepUnit;

/**
 * What the readings tell of how far play moves by a turn, and what a reading due now should say.
 *
 * @phpstan-type ExpectedShape array{
 *     mm: float,
 *     low_mm: float,
 *     high_mm: float,
 * }
 * @phpstan-type LearnedShape array{
 *     point: string|null,
 *     ratio: float,
 *     ratio_deviation: float,
 *     ln_ratio: float,
 *     spread: float,
 *     taught: bool,
 *     per_step: list<array{
 *         adjuster: string,
 *         mm: float,
 *         expanded_mm: float,
 *         unit: value-of<StepUnit>,
 *     }>,
 *     // Counted moves of this job.
 *     moves: int,
 *     // How many other machines of the model tell what is expected; 0 where this control has taught it
 *     // itself, or nothing has.
 *     machines: int,
 *     // A ratio that the readings contradict.
 *     finding: FindingShape|null,
 *     // By how much play reads otherwise when slack was given last; null where it is not known to.
 *     sides_mm: float|null,
 *     // mm of conduit that tightening the lock is expected to give, as far as it was learned.
 *     creep_mm: float,
 * }
 * @phpstan-type FindingShape array{
 *     sentence: string,
 *     told: float,
 *     learned: float,
 *     expanded: float,
 * }
 */
final readonly class LearnedCodec
{
    private function __construct(private BenchState $state) {}

    /** @return LearnedShape */
    public static function of(BenchState $state): array
    {
        return (new self($state))->learned();
    }

    /**
     * @return ExpectedShape|null what a reading due now should say; null when it was read, or nothing has placed it
     */
    public static function expected(BenchState $state): ?array
    {
        $play = $state->beliefs()->play;
        $groups = $state->facts->readings->groups;
        if ($state->judgement->nowGroup !== null || ! $play->isPlaced() || $groups === []) {
            return null;
        }
        [$low, $high] = $play->range(0.95, 0.0, $groups[count($groups) - 1]->found->standardOfNext());

        return ['mm' => max(0.0, $play->expected(0.0)), 'low_mm' => max(0.0, $low), 'high_mm' => max(0.0, $high)];
    }

    /** @return LearnedShape */
    private function learned(): array
    {
        $play = $this->state->beliefs()->play;
        $prior = $play->taught();

        return [
            'point' => $this->state->spec->aim?->point->value,
            'ratio' => $play->ratio(),
            'ratio_deviation' => $play->ratioDeviation(),
            'ln_ratio' => $prior->ln,
            'spread' => $prior->spread,
            'taught' => $play->hasTaught(),
            'machines' => $this->state->spec->aim === null || $play->hasTaught()
                ? 0
                : ($this->state->facts->standing->taughtAt($this->state->spec->play()->point)->machines ?? 0),
            'finding' => $this->finding(),
            'sides_mm' => $play->isPlaced() && $play->sides()->areKnown() ? $play->sides()->apart : null,
            'creep_mm' => $this->state->beliefs()->creep->expectedAt(1.0),
            'moves' => count(array_filter(
                $this->state->facts->readings->moves,
                static fn (MoveMade $move): bool => $move->entry->steps !== null && ! $move->crossed,
            )),
            'per_step' => array_map(static fn (Adjuster $a): array => [
                'adjuster' => $a->id(),
                'unit' => $a->counting()->unit->value,
                'mm' => $play->ratio() * $a->slackGiven($a->counting()->each),
                'expanded_mm' => abs(1.96 * $play->ratioDeviation() * $a->slackGiven($a->counting()->each)),
            ], array_values($this->state->run->playAdjusters())),
        ];
    }

    /** @return FindingShape|null what the readings say of the ratio against the spec */
    private function finding(): ?array
    {
        $finding = RatioFinding::of($this->state->spec, $this->state->run, $this->state->beliefs());

        return $finding === null
            ? null
            : [
                'sentence' => $finding->sentence,
                'told' => $finding->told,
                'learned' => $finding->learned,
                'expanded' => 2 * $finding->deviation,
            ];
    }
}
