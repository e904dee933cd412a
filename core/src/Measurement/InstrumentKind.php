<?php

declare(strict_types=1);

namespace VividPull\Core\Measurement;

enum InstrumentKind: string
{
    case SteelRule = 'steel_rule';
    case TapeMarks = 'tape_marks';
    case Caliper = 'caliper';
    case Feeler = 'feeler';
    case Coin = 'coin';

    public function label(): string
    {
        return match ($this) {
            self::SteelRule => 'steel rule',
            self::TapeMarks => 'tape marks',
            self::Caliper => 'caliper',
            self::Feeler => 'feeler gauge',
            self::Coin => 'coin',
        };
    }

    /** How many marks the eye sets against each other in one reading. */
    public function marksRead(): int
    {
        return match ($this) {
            self::SteelRule, self::TapeMarks => 2,
            self::Caliper, self::Feeler, self::Coin => 1,
        };
    }

    /** Standard deviation of one reading in mm when nothing is on file for the person; our own figures. */
    public function usualDeviation(): float
    {
        return match ($this) {
            self::SteelRule => 0.3,
            self::TapeMarks => 0.4,
            self::Caliper => 0.12,
            self::Feeler => 0.05,
            self::Coin => 0.15,
        };
    }
}
