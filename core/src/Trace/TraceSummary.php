<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/** What a trace told, in figures: what its entry keeps, and what one trace is held against another by. */
final readonly class TraceSummary
{
    public function __construct(
        /**
         * Where free play ends, in mm from rest, at the point where the travel was measured; null where it is not seen
         * to end.
         */
        public ?float $playMm,
        /** Its expanded uncertainty, 95 %, in mm. */
        public ?float $playUMm,
        /** The heaviest before any stop, in N at the gauge, */
        public float $heaviestN,
        /** ... and where, in mm from rest. */
        public float $heaviestMm,
        /**
         * The share of the pull that arrives at the far end, 0 to 1; null where the way back is missing, or no lighter.
         */
        public ?float $efficiency,
        public Reached $reached,
        public int $snags,
    ) {}

    /** What friction takes of the pull, in whole per cent; null where the loop tells nothing. */
    public function lost(): ?int
    {
        return $this->efficiency === null ? null : (int) round(100 * (1.0 - $this->efficiency));
    }
}
