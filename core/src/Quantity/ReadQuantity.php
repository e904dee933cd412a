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
        /** What was taken for granted, as a sentence, or null. */
        public ?string $assumed,
    ) {}

    public static function measured(string $entered, Fraction $number, Unit $unit, ?string $assumed): self
    {
        return new self(
            $entered,
            $unit->dimension(),
            $unit->toInternal($number),
            $unit,
            null,
            $number->writtenStep() * $unit->factor(),
            $assumed,
        );
    }

    public static function coin(string $entered, Coin $coin): self
    {
        return new self($entered, Dimension::Length, $coin->thickness(), null, $coin, 0.0,
            "A {$coin->value} that just drags is {$coin->thickness()} mm.");
    }
}
