<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

/** A pull that a force gauge recorded by itself. */
final readonly class RecordedPull extends Sent
{
    /** @param  list<array{int, string}>  $lines  each with its time in ms */
    private function __construct(Origin $origin, private array $lines)
    {
        parent::__construct($origin);
    }

    /** @param  list<array{int, string}>  $lines */
    public static function of(Wired $gauge, array $lines, When $when): self
    {
        return new self(Origin::of($gauge, $when), $lines);
    }

    public function path(): string
    {
        return 'gauges/recordings';
    }

    public function says(): string
    {
        return 'A pull of '.count($this->lines).' lines';
    }

    protected function given(): array
    {
        return ['lines' => $this->lines];
    }

    /** Null where that is none. */
    public static function fromKept(mixed $kept): ?self
    {
        $origin = Origin::fromKept($kept);
        if ($origin === null || ! is_array($kept) || ! is_array($kept['lines'] ?? null)) {
            return null;
        }
        $lines = [];
        foreach ($kept['lines'] as $line) {
            if (is_array($line) && is_int($line[0] ?? null) && is_string($line[1] ?? null)) {
                $lines[] = [$line[0], $line[1]];
            }
        }

        return new self($origin, $lines);
    }
}
