<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** Something to look over. A fault found in a gated one fails that gate. */
final readonly class Inspection
{
    public function __construct(
        public string $key,
        public string $label,
        public string $lookFor,
        public ?GateKey $gate = null,
    ) {}
}
