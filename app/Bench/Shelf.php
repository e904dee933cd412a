<?php

declare(strict_types=1);

namespace App\Bench;

use App\Gauges\InstrumentChecks;
use App\Models\Instrument;

/** The instruments that play is read with, and what is known of the hands that use them: what a job is opened with. */
final readonly class Shelf
{
    /**
     * @return array{shelf: list<array<string, mixed>>, pooled: list<array<string, mixed>>} as a job's standing holds it
     */
    public static function standing(): array
    {
        $shelf = Instrument::forPlay();
        $hands = InstrumentChecks::hands();
        $written = $shelf->map(static function (Instrument $one) use ($hands): array {
            $own = $hands[$one->id] ?? null;

            return $one->asWritten()
                + ($own === null ? [] : ['hands' => ['deviation_mm' => $own->deviation, 'freedom' => $own->freedom]]);
        });

        return ['shelf' => array_values($written->all()), 'pooled' => Repeating::on($shelf)];
    }
}
