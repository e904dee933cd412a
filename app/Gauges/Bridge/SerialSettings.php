<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

/** How a serial line is spoken. */
final readonly class SerialSettings
{
    public function __construct(
        /** Bits a second. */
        public int $speed,
        public int $bits,
        /** `none`, `even` or `odd`. */
        public string $parity,
        public int $stop,
    ) {}

    /** @return list<string> as stty takes them: bytes as they come, no echo, no waiting for a modem */
    public function forStty(): array
    {
        return [
            (string) $this->speed, 'raw', '-echo', 'clocal', '-hupcl', "cs{$this->bits}",
            $this->stop === 2 ? 'cstopb' : '-cstopb',
            ...match ($this->parity) {
                'even' => ['parenb', '-parodd'],
                'odd' => ['parenb', 'parodd'],
                default => ['-parenb'],
            },
        ];
    }
}
