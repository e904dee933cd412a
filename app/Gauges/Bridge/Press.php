<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use App\Gauges\Steady;
use Illuminate\Support\Str;

/** One press of a gauge's button on its way to the server, under an id of its own: sent twice, it counts once. */
final readonly class Press
{
    private function __construct(
        public string $id,
        public string $instrument,
        public string $line,
        public ?string $unit,
        public string $before,
        /** By the computer's clock, in milliseconds; it holds over a restart. */
        public int $atMs,
        /** By a clock that nobody sets, since this program began; null where it was pressed before. */
        private ?int $steadyMs,
    ) {}

    public static function of(Wired $gauge, string $line): self
    {
        return new self((string) Str::uuid(), $gauge->instrument, $line, $gauge->reads->unit?->value, $gauge->reads->before, self::clock(), Steady::ms());
    }

    public function ageMs(): int
    {
        return max(0, $this->steadyMs === null ? self::clock() - $this->atMs : Steady::ms() - $this->steadyMs);
    }

    /** @return array<string, mixed> as it is sent */
    public function body(): array
    {
        return ['id' => $this->id, 'instrument' => $this->instrument, 'line' => $this->line, 'unit' => $this->unit, 'before' => $this->before === '' ? null : $this->before, 'age_ms' => $this->ageMs()];
    }

    /** @return array<string, mixed> as it waits on the disk */
    public function kept(): array
    {
        return ['id' => $this->id, 'instrument' => $this->instrument, 'line' => $this->line, 'unit' => $this->unit, 'before' => $this->before, 'at_ms' => $this->atMs];
    }

    /** Null where that is no press. */
    public static function fromKept(mixed $kept): ?self
    {
        return is_array($kept) && is_string($kept['id'] ?? null) && is_string($kept['instrument'] ?? null) && is_string($kept['line'] ?? null) && is_int($kept['at_ms'] ?? null)
            ? new self($kept['id'], $kept['instrument'], $kept['line'], is_string($kept['unit'] ?? null) ? $kept['unit'] : null, is_string($kept['before'] ?? null) ? $kept['before'] : '', $kept['at_ms'], null)
            : null;
    }

    private static function clock(): int
    {
        return (int) (microtime(true) * 1000);
    }
}
