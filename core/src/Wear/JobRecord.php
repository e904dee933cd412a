<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

use VividPull\Core\Cable\Part;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Spec\EngineHeat;

/** One closed job as its control's story needs it: what was found and left, and at what use. */
final readonly class JobRecord
{
    public function __construct(
        /** Use of the machine in its own unit, going on over a replaced meter. */
        public float $usage,
        /** ISO date of the job. */
        public string $day,
        public ReadingPoint $point,
        public ?EngineHeat $engine,
        public ?Play $found,
        public ?Play $left,
        /**
         * Slack that somebody gave between the last look and this one by turning adjusters, in mm of conduit; below
         * zero taken.
         */
        public float $givenMm = 0.0,
        /** @var list<Part> fitted new in this job */
        public array $parts = [],
        public FoundSide $side = FoundSide::Inside,
        /** Whether it was looked over and proved; a check only read its play. */
        public bool $isWhole = true,
    ) {}

    public function isLike(self $other): bool
    {
        return $this->point === $other->point
            && ($this->engine === null || $other->engine === null || $this->engine === $other->engine);
    }

    /** Whether what wore before it says nothing of what comes after. */
    public function startsOver(): bool
    {
        return array_filter($this->parts, static fn (Part $part): bool => $part->startsDriftOver()) !== [];
    }
}
