<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/** Where a pull stops being light, and how surely. Both are null where that is not seen. */
final readonly class EndOfLight
{
    public function __construct(
        /** From rest, in mm of the lever's travel. */
        public ?float $mm,
        /** Standard uncertainty with the marks of the travel's instrument, in mm. */
        public ?float $standard,
    ) {}

    public static function notSeen(): self
    {
        return new self(null, null);
    }
}
