<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Bench\MeasuresHere;
use VividPull\Core\Cable\Cable;
use VividPull\Core\Facts\SeenTrace;
use VividPull\Core\Family\Families;
use VividPull\Core\Family\Family;
use VividPull\Core\Judging\MeasureState;
use VividPull\Core\Judging\PullState;
use VividPull\Core\Log\Entry\PartRefused;
use VividPull\Core\Log\Entry\PhotoTaken;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Planning\ProofEvidence;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\LeverPull;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\ReplacementReason;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\PullFigure;

/**
 * What stands beside the play of a control: what it does at its settings, what is measured, the pull, the pack, a cable
 * being replaced.
 *
 * @phpstan-import-type SuspectShape from SuspectCodec
 * @phpstan-import-type SettingsTableShape from SettingsTableCodec
 * @phpstan-import-type PackShape from PackCodec
 * @phpstan-import-type ReplacingShape from ReplacingCodec
 *
 * @phpstan-type KeptTraceShape array<string, mixed>
 * @phpstan-type BesideShape array{
 *     not_settable: string|null,
 *     cures: list<array{
 *         key: string,
 *         label: string,
 *     }>,
 *     imitators: list<string>,
 *     // What is looked for where a proof failed and no setting cures it, the likeliest first.
 *     suspects: list<SuspectShape>,
 *     table: SettingsTableShape|null,
 *     measures: list<MeasuredShape>,
 *     window: ThrottleWindowShape|null,
 *     engagement: EngagementShape|null,
 *     governor: GovernorMoveShape|null,
 *     pull_at_mm: float|null,
 *     can_pull: bool,
 *     pull: PullShape|null,
 *     pack: PackShape|null,
 *     reasons: list<array{
 *         key: string,
 *         label: string,
 *     }>,
 *     replacing: ReplacingShape|null,
 *     photos: list<PhotoShape>,
 *     refused: list<array{
 *         part: string,
 *         number: string,
 *     }>,
 *     // The cables of this control; which is replaced is said where there are several.
 *     cables: list<array{
 *         key: string,
 *         label: string,
 *     }>,
 *     // Whether it was found not wide open, so that how far it still has to go can be measured.
 *     can_measure_short: bool,
 *     traces: list<KeptTraceShape>,
 *     can_trace: bool,
 * }
 * @phpstan-type MeasuredShape array{
 *     key: value-of<MeasureKey>,
 *     label: string,
 *     unit: string,
 *     decimals: int,
 *     runs: int,
 *     values: list<float>,
 *     mean: float|null,
 *     expanded: float|null,
 *     before: float|null,
 *     low: float|null,
 *     high: float|null,
 *     verdict: value-of<VerdictKind>,
 *     sentence: string,
 *     advice: string|null,
 *     chance_inside: float|null,
 *     note: string|null,
 *     // Whether it is told to be outside and is put right by hand, since no adjuster is the cure of it.
 *     put_right: bool,
 * }
 * @phpstan-type ThrottleWindowShape array{
 *     stroke_mm: float,
 *     arc_mm: float,
 *     margin_mm: float,
 *     least_mm: float,
 *     most_mm: float,
 *     tightest_mm: float|null,
 *     slackest_mm: float|null,
 *     ratio: float,
 *     sentence: string,
 * }
 * @phpstan-type EngagementShape array{
 *     full_by_mm: float,
 *     first_mm: float|null,
 *     full_mm: float|null,
 *     margin_low_mm: float|null,
 *     margin_high_mm: float|null,
 *     reserve_mm: float|null,
 *     sentence: string,
 * }
 * @phpstan-type GovernorMoveShape array{
 *     sentence: string,
 *     adjuster: string|null,
 *     adjuster_name: string|null,
 *     phrase: string|null,
 *     body: array<string, mixed>|null,
 * }
 * @phpstan-type PullShape array{
 *     now: PullSideShape|null,
 *     fresh: PullSideShape|null,
 *     problem: string|null,
 *     sentence: string,
 * }
 * @phpstan-type PullSideShape array{
 *     pull_n: float,
 *     release_n: float,
 *     tension_n: float,
 *     efficiency: float,
 *     friction: float,
 * }
 * @phpstan-type PhotoShape array{
 *     id: string,
 *     of: string,
 *     by: string,
 *     at: string,
 * }
 */
final readonly class BesideCodec
{
    private ProofEvidence $evidence;

    private function __construct(private BenchState $state)
    {
        $this->evidence = ProofEvidence::of($state->spec, $state->run, $state->facts);
    }

    /** @return BesideShape */
    public static function encode(BenchState $state): array
    {
        return (new self($state))->whole();
    }

    /**
     * @return array{
     *     not_settable: string|null, cures: list<array{key: string, label: string}>, imitators: list<string>,
     *     suspects: list<SuspectShape>,
     * } what is looked for and put right where no adjuster is the cure
     */
    private function putRight(Family $family): array
    {
        return [
            'not_settable' => $family->notSettable(),
            'cures' => array_map(
                static fn (Cure $cure): array => ['key' => $cure->value, 'label' => $cure->label()],
                $family->cures(),
            ),
            'imitators' => $family->imitators(),
            'suspects' => SuspectCodec::encode($family, $this->suspects()),
        ];
    }

    /** @return list<Suspect> of what failed and of what was measured outside, the likeliest first */
    private function suspects(): array
    {
        $suspects = array_column($this->evidence->suspects(), null, 'what');
        foreach ($this->state->judgement->toBePutRight() as $one) {
            $suspects += array_column($one->measure->suspects, null, 'what');
        }

        return array_values($suspects);
    }

    /** @return BesideShape */
    private function whole(): array
    {
        $family = Families::of($this->state->spec->family);
        $seen = $this->state->facts->observations;

        return [
            ...$this->putRight($family),
            'table' => SettingsTableCodec::of($this->state),
            'measures' => array_map(self::measure(...), $this->state->judgement->measures),
            'window' => $this->window(),
            'engagement' => $this->engagement(),
            'governor' => $this->governor(),
            'pull_at_mm' => $this->state->spec->other(PullFigure::class)?->atMm,
            'can_measure_short' => $this->isShortOfOpen(),
            'can_pull' => MeasuresHere::of($this->state)->has(MeasureKey::LeverPull),
            'pull' => $this->pull(),
            'pack' => PackCodec::of($this->state),
            'reasons' => array_map(
                static fn (ReplacementReason $one): array => ['key' => $one->value, 'label' => $one->label()],
                ReplacementReason::cases(),
            ),
            'cables' => array_map(
                static fn (Cable $one): array => ['key' => $one->id, 'label' => $one->name],
                $this->state->run->cables,
            ),
            'replacing' => ReplacingCodec::of($this->state),
            'photos' => array_map(self::photo(...), $seen->photos),
            'traces' => array_map(self::traced(...), $seen->traces),
            'can_trace' => $family->workingEnd() !== null,
            'refused' => array_map(
                static fn (PartRefused $one): array => ['part' => $one->part->label(), 'number' => $one->number],
                $seen->refused,
            ),
        ];
    }

    /** Whether it did not open fully: how far it still has to go can be measured then. */
    private function isShortOfOpen(): bool
    {
        $short = array_filter(
            $this->evidence->failed,
            static fn (array $one): bool => $one['proof']->key === Proof::WIDE_OPEN,
        );

        return $short !== [];
    }

    /** @return PhotoShape */
    private static function photo(PhotoTaken $one): array
    {
        return ['id' => $one->photo, 'of' => $one->of, 'by' => $one->stamp->by->name, 'at' => $one->stamp->at];
    }

    /** @return KeptTraceShape */
    private static function traced(SeenTrace $one): array
    {
        return [
            'entry' => $one->entry->stamp->id,
            'by' => $one->entry->stamp->by->name,
            'at' => $one->entry->stamp->at,
            ...TraceCodec::body($one->entry),
        ];
    }

    /**
     * @return array{
     *     adjuster: string|null, adjuster_name: string|null, phrase: string|null, body: array<string, mixed>|null,
     * }
     */
    public static function moveOf(BenchState $state, ?string $id, ?Steps $steps): array
    {
        $adjuster = $id === null ? null : $state->run->adjuster($id);

        return [
            'adjuster' => $id,
            'adjuster_name' => $adjuster?->name(),
            'phrase' => $steps === null ? null : $adjuster?->say($steps),
            'body' => $steps === null || $adjuster === null
                ? null
                : ['adjuster' => $adjuster->id(), $adjuster->counting()->unit->field() => $steps->toFloat()],
        ];
    }

    /** @return MeasuredShape */
    private static function measure(MeasureState $state): array
    {
        $key = $state->measure->key;

        return [
            'key' => $key->value,
            'label' => $key->label(),
            'unit' => $key->dimension()->internalUnit(),
            'decimals' => $key->decimals(),
            'runs' => $state->measure->runs,
            'values' => $state->values,
            'mean' => $state->found?->mean,
            'expanded' => $state->found?->expanded(),
            'before' => $state->before?->mean,
            'low' => $state->limit?->low,
            'high' => $state->limit?->high,
            'verdict' => $state->verdict->kind->value,
            'sentence' => $state->verdict->sentence,
            'advice' => $state->verdict->advice,
            'chance_inside' => $state->verdict->chanceInside,
            'note' => $state->note,
            'put_right' => $state->isToBePutRight(),
        ];
    }

    /** @return ThrottleWindowShape|null */
    private function window(): ?array
    {
        $state = $this->state->window();

        return $state === null ? null : [
            'stroke_mm' => $state->window->strokeMm,
            'arc_mm' => $state->window->arcMm,
            'margin_mm' => $state->window->marginMm,
            'least_mm' => $state->least,
            'most_mm' => $state->most,
            'tightest_mm' => $state->tightest,
            'slackest_mm' => $state->slackest,
            'ratio' => $state->ratio,
            'sentence' => $state->sentence,
        ];
    }

    /** @return EngagementShape|null */
    private function engagement(): ?array
    {
        $state = $this->state->engagement();

        return $state === null ? null : [
            'full_by_mm' => $state->fullBy,
            'first_mm' => $state->first,
            'full_mm' => $state->full,
            'margin_low_mm' => $state->marginLow,
            'margin_high_mm' => $state->marginHigh,
            'reserve_mm' => $state->reserve,
            'sentence' => $state->sentence,
        ];
    }

    /** @return GovernorMoveShape|null */
    private function governor(): ?array
    {
        $advice = $this->state->governor();

        return $advice === null
            ? null
            : ['sentence' => $advice->sentence, ...self::moveOf($this->state, $advice->adjuster, $advice->steps)];
    }

    /** @return PullShape|null */
    private function pull(): ?array
    {
        $state = PullState::of($this->state->spec, $this->state->facts);

        return $state === null
            ? null
            : [
                'now' => self::side($state->now),
                'fresh' => self::side($state->fresh),
                'problem' => $state->problem,
                'sentence' => $state->sentence,
            ];
    }

    /** @return PullSideShape|null */
    private static function side(?LeverPull $pull): ?array
    {
        return $pull === null ? null : [
            'pull_n' => $pull->pull,
            'release_n' => $pull->release,
            'tension_n' => $pull->tension(),
            'efficiency' => $pull->efficiency(),
            'friction' => $pull->friction(),
        ];
    }
}
