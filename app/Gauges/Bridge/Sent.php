<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

/** Something a gauge gave, on its way to the server under an id of its own: sent twice, it counts once. */
abstract readonly class Sent
{
    protected function __construct(private Origin $origin) {}

    /** Where it is sent to, below the server's API. */
    abstract public function path(): string;

    /** What it is, for whoever reads along. */
    abstract public function says(): string;

    /** @return array<string, mixed> what the gauge gave, as it is sent and as it waits on the disk */
    abstract protected function given(): array;

    /** The short name of its gauge. */
    public function instrument(): string
    {
        return $this->origin->instrument;
    }

    /** How long ago it was measured. */
    public function ageMs(): int
    {
        return $this->origin->when->ageMs();
    }

    /** @return array<string, mixed> as it is sent */
    public function body(): array
    {
        return [...$this->origin->body(), ...$this->given()];
    }

    /** @return array<string, mixed> as it waits on the disk */
    public function kept(): array
    {
        return [...$this->origin->kept(), ...$this->given()];
    }
}
