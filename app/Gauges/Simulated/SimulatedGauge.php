<?php

declare(strict_types=1);

namespace App\Gauges\Simulated;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * What a gauge would show of a true size, and the line it would send: its noise, its steps, its drift, and what can be
 * wrong with it.
 */
final class SimulatedGauge
{
    /** What it measures, in mm or N. */
    public float $true = 0.0;

    public Fault $fault = Fault::None;

    private readonly Randomizer $chance;

    private readonly float $since;

    public function __construct(public readonly SimulatedKind $kind, int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
        $this->since = microtime(true);
    }

    /** In mm or N, in steps of its display. */
    public function shows(): float
    {
        $minutes = (microtime(true) - $this->since) / 60;
        $step = $this->kind->step();

        return round(
            ($this->true + $this->kind->noise() * $this->normal() + $this->kind->driftAMinute() * $minutes) / $step,
        ) * $step;
    }

    /** The bytes that one press sends; none where it drops out. */
    public function press(): string
    {
        $line = $this->kind->line($this->shows(), $this->fault === Fault::OtherUnit);

        return match ($this->fault) {
            Fault::None, Fault::OtherUnit => "{$line}\r\n",
            Fault::LowBattery => "{$line} LOW BAT\r\n",
            Fault::Dropout => '',
            Fault::Half => substr($line, 0, intdiv(strlen($line), 2)),
            Fault::Garbage => $this->garbage()."\r\n",
        };
    }

    private function garbage(): string
    {
        $bytes = '';
        for ($n = $this->chance->getInt(3, 12); $n > 0; $n--) {
            $bytes .= chr($this->chance->getInt(128, 255));
        }

        return $bytes;
    }

    /** Of standard deviation 1, by the sum of twelve. */
    private function normal(): float
    {
        $sum = -6.0;
        for ($n = 0; $n < 12; $n++) {
            $sum += $this->chance->getInt(0, 1_000_000) / 1_000_000;
        }

        return $sum;
    }
}
