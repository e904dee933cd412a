<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Cable\HandKind;
use VividPull\Core\Judging\MeasureState;
use VividPull\Core\Procedure\MeasureKey;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Spec\PackFigures;

/**
 * What can be measured on a control: what its family asks, the pull at the lever of a cable, and the pack where its
 * book has figures.
 */
final readonly class MeasuresHere
{
    /** @param  list<MeasureKey>  $keys */
    private function __construct(public array $keys) {}

    public static function of(BenchState $state): self
    {
        $asked = array_map(
            static fn (MeasureState $one): MeasureKey => $one->measure->key,
            $state->judgement->measures,
        );
        $pull = $state->run->adjusters() === [] ? [] : match ($state->run->hand->kind) {
            HandKind::Lever, HandKind::Handle, HandKind::Bail,
            HandKind::Pedal => [MeasureKey::LeverPull, MeasureKey::LeverRelease],
            HandKind::Grip, HandKind::Trigger, HandKind::Selector => [],
        };
        $pack = $state->spec->other(PackFigures::class) === null
            ? []
            : [MeasureKey::FrictionPlate, MeasureKey::SteelPlate, MeasureKey::ClutchSpring];

        $opens = array_filter(
            $state->spec->proofs($state->run),
            static fn (Proof $one): bool => $one->key === Proof::WIDE_OPEN,
        ) !== [];

        return new self([...$asked, ...$pull, ...$pack, ...($opens ? [MeasureKey::ShortOfOpen] : [])]);
    }

    public function has(MeasureKey $key): bool
    {
        return in_array($key, $this->keys, true);
    }
}
