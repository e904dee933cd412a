<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

/** What it takes to look, beside the minutes: a cover off, a tool, a caution, the machine running. */
final readonly class Effort
{
    private function __construct(
        public ?string $cover = null,
        /** To take it off and put it back; spent once for all that lies under it. */
        public float $coverMinutes = 0.0,
        public ?string $tools = null,
        public ?string $caution = null,
        /** Whether it comes before anything runs. */
        public bool $isSafety = false,
        public bool $runs = false,
    ) {}

    public static function none(): self
    {
        return new self;
    }

    public function under(string $cover, float $minutes): self
    {
        return new self($cover, $minutes, $this->tools, $this->caution, $this->isSafety, $this->runs);
    }

    public function using(string $tools): self
    {
        return new self($this->cover, $this->coverMinutes, $tools, $this->caution, $this->isSafety, $this->runs);
    }

    public function saying(string $caution): self
    {
        return new self($this->cover, $this->coverMinutes, $this->tools, $caution, $this->isSafety, $this->runs);
    }

    public function first(): self
    {
        return new self($this->cover, $this->coverMinutes, $this->tools, $this->caution, true, $this->runs);
    }

    public function running(string $caution): self
    {
        return new self($this->cover, $this->coverMinutes, $this->tools, $caution, $this->isSafety, true);
    }
}
