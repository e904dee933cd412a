<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Cable\LockCreep;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Measurement\Instrument;
use VividPull\Core\Measurement\InstrumentKind;
use VividPull\Core\Measurement\Repeatability;
use VividPull\Core\Procedure\Symptom;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Spec\RidersWish;

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
        public ?ControlDrift $drift = null,
        /** What the meter said when the job opened, in the machine's own unit; null where nobody noted it. */
        public ?float $usage = null,
        public string $usageUnit = '',
        /** @var list<PackInspection> since the last new plates, oldest first */
        public array $pack = [],
        /** What tightening the lock does to this control, as far as it has taught. */
        public LockCreep $creep = new LockCreep,
        /** What the last signature left outside its band, or faulty; null where it left nothing. */
        public ?LeftBefore $left = null,
        /** @var list<string> what was taken up again and again, a sentence each */
        public array $again = [],
        /** The adjuster that cured it last time; null where none did. */
        public ?string $cured = null,
        /** How its rider wants it; null where nobody said. */
        public ?RidersWish $wish = null,
        /** @var list<Symptom> what it was brought in with: each is gone before it is fit */
        public array $symptoms = [],
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

    /** @return list<InstrumentKind> kinds on the shelf, a coin aside */
    public function kinds(): array
    {
        return array_values(array_unique(array_map(static fn (Instrument $i): InstrumentKind => $i->kind, $this->shelf), SORT_REGULAR));
    }
}
