<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use Illuminate\Support\Str;

/** One press of a gauge's button. */
final readonly class Press implements Sent
{
    private function __construct(private Origin $origin, private string $line) {}

    public static function of(Wired $gauge, string $line, When $when): self
    {
        return new self(new Origin((string) Str::uuid(), $gauge->instrument, $gauge->reads->unit?->value, $gauge->reads->before, $when), $line);
    }

    public function path(): string
    {
        return 'gauges/readings';
    }

    public function instrument(): string
    {
        return $this->origin->instrument;
    }

    public function says(): string
    {
        return $this->line;
    }

    public function ageMs(): int
    {
        return $this->origin->when->ageMs();
    }

    public function body(): array
    {
        return [...$this->origin->body(), 'line' => $this->line];
    }

    public function kept(): array
    {
        return [...$this->origin->kept(), 'line' => $this->line];
    }

    /** Null where that is no press. */
    public static function fromKept(mixed $kept): ?self
    {
        $origin = Origin::fromKept($kept);

        return $origin !== null && is_array($kept) && is_string($kept['line'] ?? null) ? new self($origin, $kept['line']) : null;
    }
}
