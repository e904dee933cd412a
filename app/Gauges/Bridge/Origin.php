<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use Illuminate\Support\Str;

/** Where something that is sent comes from: its id, its gauge and how that is read, and when. */
final readonly class Origin
{
    private function __construct(
        public string $id,
        public string $instrument,
        private ?string $unit,
        private string $before,
        public When $when,
    ) {}

    /** What this gauge gives now, under a new id. */
    public static function of(Wired $gauge, When $when): self
    {
        return new self(
            (string) Str::uuid(),
            $gauge->instrument,
            $gauge->reads->unit?->value,
            $gauge->reads->before,
            $when,
        );
    }

    /** @return array<string, mixed> as it is sent */
    public function body(): array
    {
        return [
            'id' => $this->id,
            'instrument' => $this->instrument,
            'unit' => $this->unit,
            'before' => $this->before === '' ? null : $this->before,
            'age_ms' => $this->when->ageMs(),
        ];
    }

    /** @return array<string, mixed> as it waits on the disk */
    public function kept(): array
    {
        return [
            'id' => $this->id,
            'instrument' => $this->instrument,
            'unit' => $this->unit,
            'before' => $this->before,
            'at_ms' => $this->when->atMs,
        ];
    }

    /** Null where that is nothing that was kept. */
    public static function fromKept(mixed $kept): ?self
    {
        return is_array($kept)
            && is_string($kept['id'] ?? null)
            && is_string($kept['instrument'] ?? null)
            && is_int($kept['at_ms'] ?? null)
            ? new self(
                $kept['id'],
                $kept['instrument'],
                is_string($kept['unit'] ?? null) ? $kept['unit'] : null,
                is_string($kept['before'] ?? null) ? $kept['before'] : '',
                When::before($kept['at_ms']),
            )
            : null;
    }
}
