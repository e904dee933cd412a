<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Facts\Facts;
use VividPull\Core\Log\Standing;
use VividPull\Core\Measurement\Repeated;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Measurement\WearLife;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Spec\PackFigures;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/** Plates and springs as they came out, each held against its own limit: the weakest decides. */
final readonly class PackState
{
    /** New friction plates soak in oil for 24 to 48 h; common practice, no source. */
    public const LEAST_SOAK_H = 24;

    private const KINDS = [MeasureKey::FrictionPlate, MeasureKey::SteelPlate, MeasureKey::ClutchSpring];

    /**
     * @param  list<array{key: MeasureKey, of: string, found: Repeated, verdict: Verdict}>  $items
     * @param  array<string, WearLife>  $lives  use left, by measure, where two inspections or more say
     */
    private function __construct(
        public PackFigures $figures,
        public array $items,
        public string $sentence,
        public array $lives,
    ) {}

    public static function of(Spec $spec, Facts $facts): ?self
    {
        $figures = $spec->other(PackFigures::class);
        if ($figures === null) {
            return null;
        }
        $items = [];
        foreach (self::KINDS as $key) {
            foreach (self::each($facts, $key) as $of => $values) {
                $found = Repeated::of($key, $values);
                $items[] = [
                    'key' => $key,
                    'of' => (string) $of,
                    'found' => $found,
                    'verdict' => self::verdict($spec, $figures->band($key), $key, $found),
                ];
            }
        }

        return new self(
            $figures,
            $items,
            self::said($figures, $items),
            self::lives($figures, $items, $facts->standing),
        );
    }

    /** Whether any plate or spring is at or past its limit. */
    public function isWorn(): bool
    {
        return array_filter($this->items, static fn (array $item): bool => $item['verdict']->kind->isOutside()) !== [];
    }

    /** @return array<string, float> the weakest of each kind that was measured, in mm, by measure */
    public function weakest(): array
    {
        return self::weakestOf($this->items);
    }

    /**
     * @param  list<array{key: MeasureKey, of: string, found: Repeated, verdict: Verdict}>  $items
     * @return array<string, float>
     */
    private static function weakestOf(array $items): array
    {
        $weakest = [];
        foreach ($items as $item) {
            if ($item['key'] !== MeasureKey::SteelPlate) {
                $weakest[$item['key']->value] = min($weakest[$item['key']->value] ?? INF, $item['found']->mean);
            }
        }

        return $weakest;
    }

    /**
     * @param  list<array{key: MeasureKey, of: string, found: Repeated, verdict: Verdict}>  $items
     * @return array<string, WearLife>
     */
    private static function lives(PackFigures $figures, array $items, Standing $standing): array
    {
        $usage = $standing->history->usage;
        if ($usage === null) {
            return [];
        }
        $lives = [];
        foreach (self::weakestOf($items) as $key => $mm) {
            $inspections = [];
            foreach ($standing->history->pack as $before) {
                if (isset($before->weakest[$key])) {
                    $inspections[] = ['usage' => $before->usage, 'mm' => $before->weakest[$key]];
                }
            }
            $least = $figures->band(MeasureKey::from($key))?->low;
            $life = $least === null ? null : WearLife::of([...$inspections, ['usage' => $usage, 'mm' => $mm]], $least);
            $lives += $life === null ? [] : [$key => $life];
        }

        return $lives;
    }

    /** How thick the friction plates are together, in mm; null until each was measured. */
    public function stack(): ?float
    {
        $plates = array_filter(
            $this->items,
            static fn (array $item): bool => $item['key'] === MeasureKey::FrictionPlate,
        );

        return count($plates) < ($this->figures->counts[MeasureKey::FrictionPlate->value] ?? 0) || $plates === [] ? null
            : array_sum(array_map(static fn (array $item): float => $item['found']->mean, $plates));
    }

    private static function verdict(Spec $spec, ?SpecBand $band, MeasureKey $key, Repeated $found): Verdict
    {
        return $band === null
            ? Verdict::noted('Noted')
            : Verdict::ofLimit(
                $found->mean,
                $found->spread(),
                $band,
                $spec->rule,
                $key,
                static fn (): string => 'Measure it at more places.',
            );
    }

    /** @return array<array-key, non-empty-list<float>> by number */
    private static function each(Facts $facts, MeasureKey $key): array
    {
        $each = [];
        foreach ($facts->observations->measures as $seen) {
            if (
                $seen->entry->key === $key
                && $seen->entry->of !== null
                && $seen->setting >= $facts->readings->movedAt
            ) {
                $each[$seen->entry->of][] = $seen->entry->value;
            }
        }
        ksort($each, SORT_NATURAL);

        return $each;
    }

    /** @param  list<array{key: MeasureKey, of: string, found: Repeated, verdict: Verdict}>  $items */
    private static function said(PackFigures $figures, array $items): string
    {
        $worn = array_filter($items, static fn (array $item): bool => $item['verdict']->kind->isOutside());
        if ($worn !== []) {
            return 'At or past the limit: '
                .implode(
                    ', ',
                    array_map(
                        static fn (array $item): string => lcfirst($item['key']->label())." {$item['of']}",
                        $worn,
                    ),
                )
                .'. Plates and springs are replaced as a set.';
        }
        $unsure = array_filter($items, static fn (array $item): bool => $item['verdict']->is(VerdictKind::CantTell));
        $left = array_sum($figures->counts) - count($items);

        return match (true) {
            $unsure !== [] => 'Near the limit: measure '
                .implode(
                    ', ',
                    array_map(
                        static fn (array $item): string => lcfirst($item['key']->label())." {$item['of']}",
                        $unsure,
                    ),
                )
                .' at more places.',
            $items === [] => 'Number plates and springs as they come out, keep their order, and measure each.',
            $left > 0 => "Good so far; {$left} still to measure.",
            default => 'All of the pack is within its limits.',
        };
    }
}
