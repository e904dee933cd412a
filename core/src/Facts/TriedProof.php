<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\Checked;

/** An answer to a proof with where the control stood then: it bounds the good setting as a reading does. */
final readonly class TriedProof
{
    public function __construct(
        public Checked $entry,
        /** Slack given so far, in mm of conduit. */
        public float $slack,
        /** Moves made before it. */
        public int $moves,
        public int $series,
    ) {}
}
