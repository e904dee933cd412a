<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

use VividPull\Core\Measurement\MeasureKey;

/** Something a family has measured beside the play before the job may end, held against a limit of the spec. */
final readonly class Measure
{
    private function __construct(
        public MeasureKey $key,
        /** Readings that make it whole. */
        public int $runs,
        public ?GateKey $gate,
        /** Whether it is measured before anything is changed as well. */
        public bool $asFound,
        public ?string $caution,
    ) {}

    public static function proved(MeasureKey $key, int $runs, ?GateKey $gate = null, ?string $caution = null): self
    {
        return new self($key, $runs, $gate, false, $caution);
    }

    public static function foundAndProved(MeasureKey $key, int $runs, ?string $caution = null): self
    {
        return new self($key, $runs, null, true, $caution);
    }
}
