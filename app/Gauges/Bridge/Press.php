<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

/** One press of a gauge's button. */
final readonly class Press extends Sent
{
    private function __construct(Origin $origin, private string $line)
    {
        parent::__construct($origin);
    }

    public static function of(Wired $gauge, string $line, When $when): self
    {
        return new self(Origin::of($gauge, $when), $line);
    }

    public function path(): string
    {
        return 'gauges/readings';
    }

    public function says(): string
    {
        return $this->line;
    }

    protected function given(): array
    {
        return ['line' => $this->line];
    }

    /** Null where that is no press. */
    public static function fromKept(mixed $kept): ?self
    {
        $origin = Origin::fromKept($kept);

        return $origin !== null && is_array($kept) && is_string($kept['line'] ?? null)
            ? new self($origin, $kept['line'])
            : null;
    }
}
