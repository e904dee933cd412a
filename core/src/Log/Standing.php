<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Cable\LockCreep;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Measurement\Repeatability;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Steps;

/** What history hands to a job when it opens, frozen, so that a job file needs nothing else. */
final readonly class Standing
{
    /**
     * @param  array<string, Steps|null>  $positions  by adjuster; null is unknown
     * @param  array<string, RatioPrior>  $taught  by reading point
     * @param  array<string, Instrument>  $shelf  by instrument id
     * @param  array<string, Repeatability>  $pooled  by "person/instrument"
     */
    public function __construct(
        public array $positions,
        public array $taught,
        public array $shelf,
        public array $pooled,
        public ?StandingTag $tag,
        /** What tightening the lock does to this control, as far as it has taught. */
        public LockCreep $creep = new LockCreep,
        public History $history = new History,
    ) {}

    public function taughtAt(ReadingPoint $point): ?RatioPrior
    {
        return $this->taught[$point->value] ?? null;
    }

    public function instrument(string $id): ?Instrument
    {
        return $this->shelf[$id] ?? ($id === Instrument::COIN ? Instrument::coin() : null);
    }

    public function repeatability(Person $person, Instrument $instrument): Repeatability
    {
        return $this->pooled["{$person->id}/{$instrument->id}"] ?? Repeatability::usualFor($instrument->kind);
    }

    /**
     * @param  float  $mm  what is to be read
     * @return list<Instrument> of the shelf, marked finer than this one and reaching so far; the finest first
     */
    public function finerThan(Instrument $used, float $mm): array
    {
        $finer = array_values(array_filter(
            $this->shelf,
            static fn (Instrument $one): bool => $one->kind->dimension() === Dimension::Length
                && $one->resolution < $used->resolution
                && $one->reach >= $mm,
        ));
        usort($finer, static fn (Instrument $one, Instrument $other): int => $one->resolution <=> $other->resolution);

        return $finer;
    }

    /** @return list<InstrumentKind> kinds on the shelf, a coin aside */
    public function kinds(): array
    {
        return array_values(array_unique(
            array_map(static fn (Instrument $i): InstrumentKind => $i->kind, $this->shelf),
            SORT_REGULAR,
        ));
    }
}
