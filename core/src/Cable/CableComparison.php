<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/**
 * Old and new cable laid side by side, in mm: the wire that shows with the far end seated, the conduit straight and the
 * adjusters in, and the length of the conduit. A length nobody could measure is null.
 */
final readonly class CableComparison
{
    public function __construct(
        public ?float $oldWire,
        public float $newWire,
        public ?float $oldConduit,
        public ?float $newConduit,
        public bool $endsAlike,
    ) {}
}
