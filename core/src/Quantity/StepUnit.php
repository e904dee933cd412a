<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/** What an adjuster's steps are counted in. */
enum StepUnit: string
{
    case Turn = 'turn';
    case Click = 'click';
    case Bevel = 'bevel';
    case Rung = 'rung';
    case Hole = 'hole';
    case Tooth = 'tooth';
    case Millimetre = 'mm';

    /** As it is typed behind a number on the bench line. */
    public function letters(): string
    {
        return match ($this) {
            self::Turn => 't',
            self::Click => 'c',
            self::Bevel => 'b',
            self::Rung => 'r',
            self::Hole => 'h',
            self::Tooth => 'z',
            self::Millimetre => 'mm',
        };
    }

    public function plural(): string
    {
        return match ($this) {
            self::Turn => 'turns',
            self::Click => 'clicks',
            self::Bevel => 'bevels',
            self::Rung => 'rungs',
            self::Hole => 'holes',
            self::Tooth => 'teeth',
            self::Millimetre => 'mm',
        };
    }

    /** Whether it is a part of a turn of a thread or screw. */
    public function turns(): bool
    {
        return match ($this) {
            self::Turn, self::Click, self::Bevel => true,
            self::Rung, self::Hole, self::Tooth, self::Millimetre => false,
        };
    }

    /**
     * The field of an entry that carries a count of these.
     *
     * @return 'turns'|'steps'
     */
    public function field(): string
    {
        return $this->turns() ? 'turns' : 'steps';
    }

    /** Whether there is nothing between one step and the next. */
    public function isWhole(): bool
    {
        return match ($this) {
            self::Click, self::Bevel, self::Rung, self::Hole, self::Tooth => true,
            self::Turn, self::Millimetre => false,
        };
    }

    /**
     * How steps are said, as the alternatives of a pattern: of any kind by their words, these by their letters too. A
     * length is none.
     */
    public function typed(): string
    {
        $words = ['flats', 'flat'];
        foreach (self::cases() as $unit) {
            if ($unit !== self::Millimetre) {
                $words = [...$words, $unit->plural(), $unit->value, ...($unit === $this ? [$unit->letters()] : [])];
            }
        }

        return implode('|', $this->turns() ? [...$words, self::Turn->letters(), 'f'] : $words);
    }

    public static function fromLetters(string $letters): ?self
    {
        foreach (self::cases() as $unit) {
            if (in_array($letters, [$unit->letters(), $unit->value, $unit->plural()], true)) {
                return $unit;
            }
        }

        return null;
    }
}
