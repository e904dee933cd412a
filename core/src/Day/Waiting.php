<?php

declare(strict_types=1);

namespace VividPull\Core\Day;

/** One control that waits for a job today. */
final readonly class Waiting
{
    /**
     * @param  string  $machine  tag
     * @param  string|null  $due  ISO date; null where nothing falls due
     * @param  array<string, float>  $covers  minutes to take each cover off, by its name
     * @param  float  $minutes  planned, covers included
     * @param  bool  $isBegun  a job on it is open
     */
    public function __construct(
        public string $key,
        public string $machine,
        public Readiness $ready,
        public ?string $due,
        public array $covers,
        public float $minutes,
        public bool $isBegun = false,
    ) {}

    /** @return array<string, float> covers that this control and another of the same machine both want off */
    public function sharedWith(self $other): array
    {
        return $this->machine === $other->machine ? SharedCovers::of($this->covers, $other->covers) : [];
    }
}
