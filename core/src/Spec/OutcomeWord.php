<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Errors\Quoted;

/** Something that can be seen at a setting, and between which places of the arm it is seen; null is without end. */
final readonly class OutcomeWord
{
    private function __construct(
        public string $key,
        public string $label,
        public ?float $low,
        public ?float $high,
        public bool $provesNothing,
        /** Null where its edges are written as figures. */
        public ?Stands $stands = null,
    ) {}

    /** @throws OutOfRange If its edges are the wrong way round, or it has none and so tells nothing. */
    public static function between(string $key, string $label, ?float $low, ?float $high): self
    {
        if ($low === null && $high === null) {
            throw OutOfRange::sightAnywhere(Quoted::text($label));
        }
        if ($low !== null && $high !== null && $low >= $high) {
            throw OutOfRange::sight(Quoted::text($label), $low, $high);
        }

        return new self($key, $label, $low, $high, false);
    }

    /** @param  string  $unit  what the table's places are counted in */
    public static function standing(string $key, string $label, Stands $stands, string $unit): self
    {
        return new self($key, $label, ...[...$stands->edges($unit), false, $stands]);
    }

    /** Teeth that did not meet say nothing about where the arm stands. */
    public static function provingNothing(string $key, string $label): self
    {
        return new self($key, $label, null, null, true);
    }
}
