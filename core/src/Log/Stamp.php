<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/** Who wrote an entry, when by their clock (ISO 8601 with offset), and the last entry they had seen. */
final readonly class Stamp
{
    public function __construct(
        public string $id,
        public string $at,
        public Person $by,
        public ?string $after = null,
        public ?string $line = null,
        /** When the server had it, by the server's clock; null in a file written elsewhere. */
        public ?string $receivedAt = null,
    ) {}
}
