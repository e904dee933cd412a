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
use VividPull\Core\Judging\PackState;
use VividPull\Core\Judging\PullState;
use VividPull\Core\Judging\TableState;
use VividPull\Core\Log\Entry\PartRefused;
use VividPull\Core\Log\Entry\PhotoTaken;
use VividPull\Core\Measurement\WearLife;
use VividPull\Core\Planning\CableMatch;
use VividPull\Core\Planning\ProofEvidence;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Procedure\Cure;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\LeverPull;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\PackFindings;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\ReplacementReason;
use VividPull\Core\Procedure\Suspect;
use VividPull\Core\Progress\CableMatching;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeWord;
use VividPull\Core\Spec\PullFigure;

/**
 * What stands beside the play of a control: what it does at its settings, what is measured, the pull, the pack, a cable
 * being replaced.
 */
final readonly class BesideCodec
{
    private ProofEvidence $evidence;

    private function __construct(private BenchState $state)
    {
        $this->evidence = ProofEvidence::of($state->spec, $state->run, $state->facts);
    }

    /** @return array<string, mixed> */
    public static function encode(BenchState $state): array
    {
        return (new self($state))->whole();
    }

    /** @return array<string, mixed> what is looked for and put right where no adjuster is the cure */
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

    /** @return array<string, mixed> */
    private function whole(): array
    {
        $family = Families::of($this->state->spec->family);
        $seen = $this->state->facts->observations;

        return [
            ...$this->putRight($family),
            'table' => $this->state->judgement->table === null ? null : $this->table($this->state->judgement->table),
            'measures' => array_map(self::measure(...), $this->state->judgement->measures),
            'window' => $this->window(),
            'engagement' => $this->engagement(),
            'governor' => $this->governor(),
            'pull_at_mm' => $this->state->spec->other(PullFigure::class)?->atMm,
            'can_measure_short' => $this->isShortOfOpen(),
            'can_pull' => MeasuresHere::of($this->state)->has(MeasureKey::LeverPull),
            'pull' => $this->pull(),
            'pack' => $this->pack(),
            'reasons' => array_map(
                static fn (ReplacementReason $one): array => ['key' => $one->value, 'label' => $one->label()],
                ReplacementReason::cases(),
            ),
            'cables' => array_map(
                static fn (Cable $one): array => ['key' => $one->id, 'label' => $one->name],
                $this->state->run->cables,
            ),
            'replacing' => $this->replacing(),
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

    /** @return array<string, string> */
    private static function photo(PhotoTaken $one): array
    {
        return ['id' => $one->photo, 'of' => $one->of, 'by' => $one->stamp->by->name, 'at' => $one->stamp->at];
    }

    /** @return array<string, mixed> */
    private static function traced(SeenTrace $one): array
    {
        return [
            'entry' => $one->entry->stamp->id,
            'by' => $one->entry->stamp->by->name,
            'at' => $one->entry->stamp->at,
            ...TraceCodec::body($one->entry),
        ];
    }

    /** @return array<string, mixed> */
    private function table(TableState $state): array
    {
        $advice = TablePlanner::advise($this->state->spec, $state, $this->state->run, $this->state->facts);

        return [
            'drawing' => Families::of($this->state->spec->family)->drawing()->value,
            'arm' => $state->table->arm,
            'unit' => $state->table->unit,
            'plus' => $state->table->plus,
            'minus' => $state->table->minus,
            'settings' => array_values(array_map(
                static fn (OutcomeSetting $one): array => self::setting($one, $state),
                $state->table->settings,
            )),
            'advice' => [
                'kind' => $advice->kind->value,
                'sentence' => $advice->sentence,
                'how' => $advice->how,
                'shift' => $advice->shift,
                'shift_size' => $advice->shift === null ? null : $state->table->saySize($advice->shift),
                'shift_way' => $advice->shift === null ? null : $state->table->way($advice->shift),
                'certain' => $advice->isCertain,
                'suspects' => SuspectCodec::encode(Families::of($this->state->spec->family), $advice->suspects),
                ...$this->moveOf($advice->adjuster, $advice->steps),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function setting(OutcomeSetting $one, TableState $state): array
    {
        return [
            'key' => $one->key,
            'label' => $one->label,
            'at' => $one->at,
            'wants' => $one->wants,
            'found' => $state->found[$one->key] ?? null,
            'now' => $state->now[$one->key] ?? null,
            'right' => $state->isRight($one),
            'wrong' => $state->isWrong($one),
            'sees' => array_values(array_map(
                static fn (OutcomeWord $word): array => [
                    'key' => $word->key,
                    'label' => $word->label,
                    'low' => $word->low,
                    'high' => $word->high,
                ],
                $one->sees,
            )),
        ];
    }

    /** @return array<string, mixed> */
    private function moveOf(?string $id, ?Steps $steps): array
    {
        $adjuster = $id === null ? null : $this->state->run->adjuster($id);

        return [
            'adjuster' => $id,
            'adjuster_name' => $adjuster?->name(),
            'phrase' => $steps === null ? null : $adjuster?->say($steps),
            'body' => $steps === null || $adjuster === null
                ? null
                : ['adjuster' => $adjuster->id(), $adjuster->counting()->unit->field() => $steps->toFloat()],
        ];
    }

    /** @return array<string, mixed> */
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

    /** @return array<string, mixed>|null */
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

    /** @return array<string, mixed>|null */
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

    /** @return array<string, mixed>|null */
    private function governor(): ?array
    {
        $advice = $this->state->governor();

        return $advice === null
            ? null
            : ['sentence' => $advice->sentence, ...$this->moveOf($advice->adjuster, $advice->steps)];
    }

    /** @return array<string, mixed>|null */
    private function pull(): ?array
    {
        $state = PullState::of($this->state->spec, $this->state->facts);
        $side = static fn (?LeverPull $pull): ?array => $pull === null ? null : [
            'pull_n' => $pull->pull,
            'release_n' => $pull->release,
            'tension_n' => $pull->tension(),
            'efficiency' => $pull->efficiency(),
            'friction' => $pull->friction(),
        ];

        return $state === null
            ? null
            : [
                'now' => $side($state->now),
                'fresh' => $side($state->fresh),
                'problem' => $state->problem,
                'sentence' => $state->sentence,
            ];
    }

    /** @return array<string, mixed>|null */
    private function pack(): ?array
    {
        $state = PackState::of($this->state->spec, $this->state->facts);

        return $state === null ? null : [
            'kinds' => array_map(static fn (MeasureKey $key): array => [
                'key' => $key->value,
                'label' => $key->label(),
                'count' => $state->figures->counts[$key->value] ?? 0,
                'how_to' => $key->howTo(),
                'low' => $state->figures->band($key)?->low,
                'high' => $state->figures->band($key)?->high,
                'decimals' => $key->decimals(),
            ], [MeasureKey::FrictionPlate, MeasureKey::SteelPlate, MeasureKey::ClutchSpring]),
            'items' => array_map(static fn (array $item): array => [
                'key' => $item['key']->value, 'of' => $item['of'], 'mean' => $item['found']->mean,
                'expanded' => $item['found']->expanded(),
                'verdict' => $item['verdict']->kind->value, 'sentence' => $item['verdict']->sentence,
            ], $state->items),
            'lives' => array_map(fn (string $key, WearLife $life): array => [
                'key' => $key, 'left' => $life->left, 'unit' => $this->state->facts->standing->history->usageUnit,
                'inspections' => $life->inspections,
            ], array_keys($state->lives), $state->lives),
            'findings' => array_map(fn (Inspection $one): array => [
                'key' => $one->key, 'label' => $one->label, 'look_for' => $one->lookFor,
                'finding' => ($this->state->facts->answers->inspected[$one->key] ?? null)?->finding->value,
                'remark' => ($this->state->facts->answers->inspected[$one->key] ?? null)?->remark,
            ], PackFindings::all()),
            'stack_mm' => $state->stack(),
            'star_order' => $state->figures->starOrder(),
            'soaking_since' => $this->state->facts->observations->soaking,
            'soak_hours' => PackState::LEAST_SOAK_H,
            'bolt_nm' => $state->figures->boltNm,
            'sentence' => $state->sentence,
        ];
    }

    private function cableName(?string $cable): ?string
    {
        foreach ($this->state->run->cables as $one) {
            if ($one->id === $cable) {
                return $one->name;
            }
        }

        return null;
    }

    /** @return array<string, mixed>|null */
    private function replacing(): ?array
    {
        $under = $this->state->facts->observations->replacing;
        $match = CableMatching::of($this->state->cable, $this->state->second?->cable);

        return $under === null ? null : [
            'reason' => implode(
                ': ',
                array_filter([$this->cableName($under->cable), $under->reason->label()], is_string(...)),
            ),
            'over' => $under->isOver,
            'match' => $match === null ? null : $this->match($match),
        ];
    }

    /** @return array<string, mixed> */
    private function match(CableMatch $match): array
    {
        $lands = [];
        foreach (CableMatching::landing(
            CableMatching::runOf($this->state->run, $this->state->facts->observations->replacing?->cable),
            $this->state->facts,
            $match,
        ) as $id => $at) {
            $lands[] = [
                'adjuster' => $id,
                'name' => $this->state->run->adjuster($id)?->name(),
                'say' => $this->state->run->adjuster($id)?->where($at),
            ];
        }

        return [
            'verdict' => $match->verdict->value,
            'label' => $match->verdict->label(),
            'sentence' => $match->sentence,
            'slack_in_mm' => $match->slackIn,
            'take_up_mm' => $match->takeUp,
            'reserve_mm' => $match->reserve,
            'conduit_mm' => $match->conduitDifference,
            'lands' => $lands,
        ];
    }
}
