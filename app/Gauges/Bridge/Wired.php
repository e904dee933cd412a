<?php

declare(strict_types=1);

namespace App\Gauges\Bridge;

use VividPull\Core\Gauge\GaugeSettings;

/** One gauge of the shelf and the wire it hangs on: a serial line or an address on the network. */
final readonly class Wired
{
    public function __construct(
        /** Its short name on the shelf. */
        public string $instrument,
        public ?string $port,
        public SerialSettings $serial,
        public ?string $address,
        /** What an instrument on the network is asked for a reading with. */
        public string $ask,
        public GaugeSettings $reads,
        /** Whether it is a force gauge that sends by itself while a pull is recorded. */
        public bool $records,
    ) {}

    public function wire(): string
    {
        return $this->port ?? (string) $this->address;
    }
}
