<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\Wheels;

/** One reading of free play, with everything it must carry to be compared. */
final readonly class ReadingTaken extends Entry
{
    public function __construct(
        Stamp $stamp,
        public float $mm,
        public string $entered,
        /**
         * How coarse the person wrote it beyond what the instrument shows, in mm: 3.2 for 4/8 in, 1 for 3 to 4 mm; 0
         * where not.
         */
        public float $writtenStep,
        public ReadingPoint $point,
        public Pose $pose,
        /** Null where the figure holds in any state, and nobody was asked. */
        public ?EngineHeat $engine,
        public ?Wheels $wheels,
        public string $instrument,
    ) {
        parent::__construct($stamp);
    }

    /** Whether it was read off a scale of inches, as its words tell. */
    public function isInInches(): bool
    {
        return preg_match(
            '/\/|[½⅓⅔¼¾⅛⅜⅝⅞]|\d\s*(?:"|\'\'|″|in\b|inch|thou|mil\b)|\b(?:half|quarter|eighth|sixteenth)/u',
            $this->entered,
        ) === 1;
    }

    public function kind(): EntryKind
    {
        return EntryKind::Reading;
    }

    /** Whether this reading repeats the other: the same thing, read the same way, by the same person. */
    public function repeats(self $other, Spec $spec): bool
    {
        return $this->isOfSame($other, $spec)
            && $this->instrument === $other->instrument
            && $this->stamp->by->is($other->stamp->by);
    }

    /** Whether both are of the same play, as far as the state of the machine tells. */
    public function isOfSame(self $other, Spec $spec): bool
    {
        return $this->point === $other->point
            && $this->pose === $other->pose
            && (! $spec->heatMatters() || $this->engine === $other->engine)
            && (! $spec->wheelsMatter() || $this->wheels === $other->wheels);
    }
}
