<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

use VividPull\Core\Quantity\Dimension;

enum InstrumentKind: string
{
    case SteelRule = 'steel_rule';
    case TapeMarks = 'tape_marks';
    case Caliper = 'caliper';
    case Feeler = 'feeler';
    case Coin = 'coin';
    /** A plunger or lever with a dial or display, on a stand. */
    case Indicator = 'indicator';
    /** Shows how hard it is pulled, in N. Play is never read with it. */
    case ForceGauge = 'force_gauge';

    public function label(): string
    {
        return match ($this) {
            self::SteelRule => 'steel rule',
            self::TapeMarks => 'tape marks',
            self::Caliper => 'caliper',
            self::Feeler => 'feeler gauge',
            self::Coin => 'coin',
            self::Indicator => 'indicator',
            self::ForceGauge => 'force gauge',
        };
    }

    /** How many marks the eye sets against each other in one reading. */
    public function marksRead(): int
    {
        return match ($this) {
            self::SteelRule, self::TapeMarks => 2,
            self::Caliper, self::Feeler, self::Coin, self::Indicator, self::ForceGauge => 1,
        };
    }

    /** What it shows: play is read with what shows lengths. */
    public function dimension(): Dimension
    {
        return $this === self::ForceGauge ? Dimension::Force : Dimension::Length;
    }

    /** Standard deviation of one reading, in mm or N, when nothing is on file for the person; our own figures. */
    public function usualDeviation(): float
    {
        return match ($this) {
            self::SteelRule => 0.3,
            self::TapeMarks => 0.4,
            self::Caliper => 0.12,
            self::Feeler => 0.05,
            self::Coin => 0.15,
            self::Indicator => 0.05,
            self::ForceGauge => 1.0,
        };
    }
}
