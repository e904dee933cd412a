<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/** What the quantity reader understood: the value in the internal unit, beside the words it was read from. */
final readonly class ReadQuantity
{
    private function __construct(
        public string $entered,
        public Dimension $dimension,
        public float $value,
        public ?Unit $unit,
        public ?Coin $coin,
        /** The smallest difference the written form can show, in the internal unit. */
        public float $writtenStep,
        /** How coarse it was written beyond what the instrument shows, in the internal unit; 0 where it was not. */
        public float $coarseness,
        /** What was taken for granted, as a sentence, or null. */
        public ?string $assumed,
        /** Whether two sizes were written, of which this is the middle. */
        public bool $isRange = false,
    ) {}

    /** @param  float  $coarseness  in the internal unit */
    public static function measured(
        string $entered,
        Fraction $number,
        Unit $unit,
        float $coarseness,
        ?string $assumed,
    ): self {
        return new self(
            $entered,
            $unit->dimension(),
            $unit->toInternal($number),
            $unit,
            null,
            $number->writtenStep() * $unit->factor(),
            $coarseness,
            $assumed,
        );
    }

    /** The middle of a range, known to half its width either way; the width in the internal unit. */
    public static function middle(string $entered, Fraction $middle, Unit $unit, float $width, string $assumed): self
    {
        return new self(
            $entered,
            $unit->dimension(),
            $unit->toInternal($middle),
            $unit,
            null,
            $width,
            $width,
            $assumed,
            true,
        );
    }

    public static function coin(string $entered, Coin $coin): self
    {
        return new self($entered, Dimension::Length, $coin->thickness(), null, $coin, 0.0, 0.0,
            "A {$coin->value} that just drags is {$coin->thickness()} mm.");
    }
}
