<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\Dimension;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;
use VividPull\Core\Quantity\Unit;

/**
 * How the steps of one adjuster are counted: in turns and flats, so many clicks to the turn, rungs, holes, millimetres.
 */
final readonly class Counting
{
    private function __construct(public StepUnit $unit, public Steps $each, private bool $hasFlats) {}

    /** Turns and flats of a hex. */
    public static function turns(): self
    {
        return new self(StepUnit::Turn, Steps::of(1), true);
    }

    /** Parts of a turn of a screw that has no flats to count. */
    public static function partTurns(): self
    {
        return new self(StepUnit::Turn, Steps::of(1), false);
    }

    /**
     * Clicks or bevels of a thread.
     *
     * @throws OutOfRange If that many to the turn are no whole count of 720ths.
     */
    public static function toTheTurn(StepUnit $unit, int $count): self
    {
        if ($count < 1 || Steps::PER_TURN % $count !== 0) {
            throw OutOfRange::finerThanTurns(1 / max(1, $count));
        }

        return new self($unit, Steps::fromCount(intdiv(Steps::PER_TURN, $count)), false);
    }

    /** Steps that are no turning: a rung, a hole, a millimetre of slot. */
    public static function inSteps(StepUnit $unit): self
    {
        return new self($unit, Steps::of(1), false);
    }

    public function steps(float $number): Steps
    {
        return Steps::exactly($number * $this->each->toFloat());
    }

    /** Whether an adjuster that counts so can be moved by just this much. */
    public function canCount(Steps $steps): bool
    {
        return ! $this->unit->isWhole() || $steps->count % $this->each->count === 0;
    }

    /**
     * So many as they are typed: in its own steps, or along what slides in any unit of length. Null where the letters
     * are no step of it.
     *
     * @throws OutOfRange If the number is no whole count of 720ths of a step.
     */
    public function typed(float $number, string $letters): ?Steps
    {
        if ($this->unit === StepUnit::Millimetre) {
            $length = Unit::tryFromText($letters);

            // A length is no count: it is kept to the nearest of the steps that are told apart.
            return $length?->dimension() === Dimension::Length ? Steps::nearest($number * $length->factor()) : null;
        }

        return StepUnit::fromLetters($letters) === $this->unit ? $this->steps($number) : null;
    }

    /**
     * The amount as it is said, without direction: `1 turn and 2 flats`, `3 clicks`; along what slides it is a length,
     * `2.5 mm`, in the units of whoever reads it.
     */
    public function say(Steps $steps): string
    {
        if ($this->hasFlats) {
            return $steps->say();
        }
        $number = abs($steps->count) / $this->each->count;
        if ($this->unit === StepUnit::Millimetre) {
            return (string) Figure::shortLength($number);
        }

        return ($this->unit === StepUnit::Turn ? self::parts(abs($steps->count)) : Figure::number($number)).' '
            .($number > 1 ? $this->unit->plural() : $this->unit->value);
    }

    /** How a move of it is typed, for a sentence that says so. */
    public function example(): string
    {
        return match (true) {
            $this->unit === StepUnit::Millimetre => 'millimetres or inches: +2mm or -1/8in',
            $this->hasFlats => 'turns and flats: +1t, -2f or +1t2f',
            $this->unit === StepUnit::Turn => 'turns: +1/2t or -1/4t',
            default => "{$this->unit->plural()}: +2{$this->unit->letters()} or -1{$this->unit->letters()}",
        };
    }

    /** Eighths of a turn as people say them: `1/2`, `1 1/4`, `3/8`. */
    private static function parts(int $count): string
    {
        $eighths = intdiv($count * 8, Steps::PER_TURN);
        if ($count * 8 % Steps::PER_TURN !== 0) {
            return Figure::number($count / Steps::PER_TURN)->bare();
        }
        $part = ['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'][$eighths % 8];

        return $eighths === 0 ? '0' : trim(($eighths < 8 ? '' : intdiv($eighths, 8).' ').$part);
    }
}
