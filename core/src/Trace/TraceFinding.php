<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/** One thing that a trace tells: its name, its figure, and what that means. */
final readonly class TraceFinding
{
    public function __construct(
        public string $key,
        public string $label,
        public string $figure,
        public string $sentence,
        public bool $isFault,
    ) {}
}
