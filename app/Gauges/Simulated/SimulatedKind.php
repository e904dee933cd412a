<?php

declare(strict_types=1);

namespace App\Gauges\Simulated;

/** The gauges that are simulated, each with figures of its own (invented). */
enum SimulatedKind: string
{
    case Caliper = 'caliper';
    case Indicator = 'indicator';
    case Force = 'force';
    /** A force gauge on the network, asked by SCPI. */
    case Network = 'network';

    public function label(): string
    {
        return match ($this) {
            self::Caliper => 'Caliper',
            self::Indicator => 'Indicator',
            self::Force => 'Force gauge',
            self::Network => 'Force gauge on the network',
        };
    }

    public function unit(): string
    {
        return match ($this) {
            self::Caliper, self::Indicator => 'mm',
            self::Force, self::Network => 'N',
        };
    }

    /** In mm or N. */
    public function step(): float
    {
        return match ($this) {
            self::Caliper => 0.01,
            self::Indicator => 0.001,
            self::Force, self::Network => 0.1,
        };
    }

    public function noise(): float
    {
        return match ($this) {
            self::Caliper => 0.01,
            self::Indicator => 0.002,
            self::Force, self::Network => 0.15,
        };
    }

    public function driftAMinute(): float
    {
        return $this === self::Indicator ? 0.0001 : 0.0;
    }

    /** What it writes for a size in mm or N; in the other unit as one that was switched over would. */
    public function line(float $shows, bool $inOther): string
    {
        return match ($this) {
            self::Caliper => $inOther ? sprintf('%+.4fin', $shows / 25.4) : sprintf('%+.2fmm', $shows),
            self::Indicator => $inOther ? sprintf('%+.5f in', $shows / 25.4) : sprintf('%+.3f mm', $shows),
            self::Force => $inOther ? sprintf('LBF %.2f', $shows / 4.4482216152605) : sprintf('N %.1f', $shows),
            self::Network => $inOther ? sprintf('%+.6E LBF', $shows / 4.4482216152605) : sprintf('%+.6E N', $shows),
        };
    }
}
