<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Judging\PackState;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Measurement\WearLife;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\PackFindings;

/**
 * Plates and springs of a clutch: their figures, what was measured, what was looked over.
 *
 * @phpstan-type PackShape array{
 *     kinds: list<array{
 *         key: string,
 *         label: string,
 *         count: int,
 *         how_to: string,
 *         low: float|null,
 *         high: float|null,
 *         decimals: int,
 *     }>,
 *     items: list<array{
 *         key: string,
 *         of: string,
 *         mean: float,
 *         expanded: float,
 *         verdict: value-of<VerdictKind>,
 *         sentence: string,
 *     }>,
 *     lives: list<array{
 *         key: string,
 *         left: float,
 *         unit: string,
 *         inspections: int,
 *     }>,
 *     stack_mm: float|null,
 *     star_order: list<int>,
 *     soaking_since: string|null,
 *     soak_hours: int,
 *     bolt_nm: float|null,
 *     sentence: string,
 *     // What is looked over where the pack is open.
 *     findings: list<array{
 *         key: string,
 *         label: string,
 *         look_for: string,
 *         finding: string|null,
 *         remark: string|null,
 *     }>,
 * }
 */
final readonly class PackCodec
{
    private function __construct(private BenchState $state) {}

    /** @return PackShape|null */
    public static function of(BenchState $state): ?array
    {
        return (new self($state))->pack();
    }

    /** @return PackShape|null */
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
}
