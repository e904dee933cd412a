<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/**
 * How a cause that is no setting is put right, a step a line. Whether it was that is told by the symptom being gone.
 */
final readonly class Remedy
{
    /** @param  non-empty-list<string>  $steps */
    private function __construct(
        public array $steps,
        public ?string $tools,
        public ?string $caution,
    ) {}

    public static function of(string $first, string ...$more): self
    {
        return new self([$first, ...array_values($more)], null, null);
    }

    /** A new cable, and what is peculiar to this cause before. */
    public static function newCable(string ...$first): self
    {
        return new self([
            ...array_values($first),
            'Start a job on this control and choose “Replace the cable”: it leads through slack, route, both ends and the match of old and new.',
            'Lay old and new side by side before anything is fitted: both ends and both lengths alike.',
            'Set it in the same job, then look again soon: a new cable beds in.',
        ], null, null);
    }

    public function with(string $tools): self
    {
        return new self($this->steps, $tools, $this->caution);
    }

    public function saying(string $caution): self
    {
        return new self($this->steps, $this->tools, $caution);
    }
}
