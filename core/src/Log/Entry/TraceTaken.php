<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Trace\TraceSummary;

/** A pull was kept as a curve; the points are kept beside the log, and what they told stands here. */
final readonly class TraceTaken extends Entry
{
    public function __construct(
        Stamp $stamp,
        public string $trace,
        public int $points,
        /** Where the travel was measured. */
        public ReadingPoint $point,
        /** With what; null where its marks are not known. */
        public ?string $instrument,
        /** How far from the pivot the force was measured, in mm; null where nobody said. */
        public ?float $atMm,
        /** Whether it was pulled as far as it goes. */
        public bool $isToStop,
        public TraceSummary $told,
        /** How far it was pulled, in mm, where its points have times and no travel. */
        public ?float $reachMm = null,
    ) {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Trace;
    }
}
