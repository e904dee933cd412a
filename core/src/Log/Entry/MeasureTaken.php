<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\MeasureKey;

/**
 * One measured value, in the internal unit of what is measured; which plate or spring it is of, or how far from the
 * pivot a force was read, stands beside it.
 */
final readonly class MeasureTaken extends Entry
{
    public function __construct(
        Stamp $stamp,
        public MeasureKey $key,
        public float $value,
        public string $entered,
        public ?string $of,
        public ?float $atMm = null,
    ) {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Measure;
    }
}
