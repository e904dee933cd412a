<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

/** One reason to look again, with when: by use, by day, or by whichever comes first. */
final readonly class Candidate
{
    public function __construct(
        public CheckReason $why,
        /** Reading of the meter; null where only a day is known. */
        public ?float $usage,
        /** The day, foretold from the machine's pace where only use is known; null where nobody can say. */
        public ?string $day,
    ) {}

    /** The same, but on no earlier day than this. */
    public function notBefore(string $day): self
    {
        return $this->day === null || $this->day >= $day ? $this : new self($this->why, $this->usage, $day);
    }

    /** What is due on no known day comes after all that is. */
    public function comesBefore(self $other): bool
    {
        return [$this->day ?? '9999-12-31', $this->usage ?? INF] < [$other->day ?? '9999-12-31', $other->usage ?? INF];
    }
}
