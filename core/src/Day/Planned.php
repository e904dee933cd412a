<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

/** One control in the order of the day. */
final readonly class Planned
{
    public function __construct(
        public Waiting $waiting,
        /** What it takes once covers that are off already are not taken off again. */
        public float $minutes,
        /** @var list<string> covers that the one before it leaves off */
        public array $coversShared,
        /** Whose hours hold it; null where nobody's do. */
        public ?string $person,
    ) {}
}
