<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Family\Families;
use VividPull\Core\Judging\TableState;
use VividPull\Core\Planning\TableAdviceKind;
use VividPull\Core\Planning\TablePlanner;
use VividPull\Core\Spec\OutcomeSetting;
use VividPull\Core\Spec\OutcomeWord;
use VividPull\Core\Spec\TableDrawing;

/**
 * A table of settings: what each should do, what it does, and what to move.
 *
 * @phpstan-import-type SuspectShape from SuspectCodec
 *
 * @phpstan-type SettingsTableShape array{
 *     drawing: value-of<TableDrawing>,
 *     arm: string,
 *     unit: string,
 *     plus: string,
 *     minus: string,
 *     settings: list<TableSettingShape>,
 *     advice: TableAdviceShape,
 * }
 * @phpstan-type TableSettingShape array{
 *     key: string,
 *     label: string,
 *     at: float,
 *     // key of what can be seen there
 *     wants: string,
 *     // key of what can be seen there
 *     found: string|null,
 *     // key of what can be seen there
 *     now: string|null,
 *     right: bool,
 *     wrong: bool,
 *     sees: list<array{
 *         key: string,
 *         label: string,
 *         low: float|null,
 *         high: float|null,
 *     }>,
 * }
 * @phpstan-type TableAdviceShape array{
 *     kind: value-of<TableAdviceKind>,
 *     sentence: string,
 *     how: string,
 *     shift: float|null,
 *     shift_size: string|null,
 *     shift_way: string|null,
 *     certain: bool,
 *     // What may be at fault where no cable reaches it, the likeliest first.
 *     suspects: list<SuspectShape>,
 *     adjuster: string|null,
 *     adjuster_name: string|null,
 *     phrase: string|null,
 *     body: array<string, mixed>|null,
 * }
 */
final readonly class SettingsTableCodec
{
    private function __construct(private BenchState $state) {}

    /** @return SettingsTableShape|null null where nothing is set by what it does at its settings */
    public static function of(BenchState $state): ?array
    {
        return $state->judgement->table === null ? null : (new self($state))->table($state->judgement->table);
    }

    /** @return SettingsTableShape */
    private function table(TableState $state): array
    {
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
            'advice' => $this->advice($state),
        ];
    }

    /** @return TableAdviceShape */
    private function advice(TableState $state): array
    {
        $advice = TablePlanner::advise($this->state->spec, $state, $this->state->run, $this->state->facts);

        return [
            'kind' => $advice->kind->value,
            'sentence' => $advice->sentence,
            'how' => $advice->how,
            'shift' => $advice->shift,
            'shift_size' => $advice->shift === null ? null : $state->table->saySize($advice->shift),
            'shift_way' => $advice->shift === null ? null : $state->table->way($advice->shift),
            'certain' => $advice->isCertain,
            'suspects' => SuspectCodec::encode(Families::of($this->state->spec->family), $advice->suspects),
            ...BesideCodec::moveOf($this->state, $advice->adjuster, $advice->steps),
        ];
    }

    /** @return TableSettingShape */
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
}
