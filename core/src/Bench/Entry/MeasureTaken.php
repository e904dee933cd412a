<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;
use VividPull\Core\Measurement\MeasureKey;

/** One measured value, in the internal unit of what is measured; which plate or spring it is of, or how far from the pivot a force was read, stands beside it. */
final readonly class MeasureTaken extends Entry
{
    public function __construct(Stamp $stamp, public MeasureKey $key, public float $value, public string $entered, public ?string $of, public ?float $atMm = null)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Measure;
    }
}
