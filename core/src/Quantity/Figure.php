<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

use Stringable;

/**
 * A figure as it is said in a sentence: so many decimals, or as few as it needs, grouped, and its unit. The one place
 * that writes one.
 */
final readonly class Figure implements Stringable
{
    private function __construct(
        private float $value,
        private int $decimals,
        private bool $isShort,
        private string $unit,
        private string $thousands = '',
        private ?Dimension $dimension = null,
    ) {}

    /** A length in mm, said to a tenth where nothing else is told, in the units of whoever reads it: `4.2 mm`. */
    public static function length(float $mm, int $decimals = 1): self
    {
        return self::of($mm, Dimension::Length, $decimals);
    }

    /** A length as it was written down, without zeros that say nothing: `4 mm`, `4.25 mm`. */
    public static function shortLength(float $mm, int $most = 2): self
    {
        return self::of($mm, Dimension::Length, $most, true);
    }

    public static function force(float $newtons): self
    {
        return self::of($newtons, Dimension::Force, 0);
    }

    public static function speed(float $kmh): self
    {
        return self::of($kmh, Dimension::Speed, 1);
    }

    /** A tightening torque in N·m, as short as it is: `7 N·m`. */
    public static function torque(float $newtonMetres): self
    {
        return self::of($newtonMetres, Dimension::Torque, 1, true);
    }

    public static function seconds(float $seconds): self
    {
        return new self($seconds, 2, true, 's');
    }

    public static function hours(float $hours): self
    {
        return new self($hours, 1, false, 'h');
    }

    /** What a meter shows: `7 750 km`. */
    public static function usage(float $use, string $unit): self
    {
        return new self(round($use), 0, false, $unit, ' ');
    }

    /** A measured quantity, to the decimals of what it is. */
    public static function measured(float $value, int $decimals, string $unit): self
    {
        $dimension = Unit::tryFrom($unit)?->dimension();

        return $dimension === null || $dimension->internalUnit() !== $unit
            ? new self($value, $decimals, false, $unit)
            : self::of($value, $dimension, $decimals);
    }

    /** A measured quantity as short as it is: `900 s`. */
    public static function briefly(float $value, Dimension $dimension): self
    {
        return self::of($value, $dimension, 2, true);
    }

    /** A bare number of anything: `1.5`, or `2`. */
    public static function number(float $number, int $most = 2): self
    {
        return new self($number, $most, true, '');
    }

    /** A bare number to so many decimals: `1.0`. */
    public static function ratio(float $number, int $decimals = 1): self
    {
        return new self($number, $decimals, false, '');
    }

    /** What a bare length is in. */
    public static function lengthUnit(): string
    {
        return Spoken::lengths()->unit()->value;
    }

    /** Without its unit, where a sentence names it once for several. */
    public function bare(): string
    {
        $units = Spoken::units();

        return $this->dimension === null
            ? $units->number($this->value, $this->decimals, $this->isShort, $this->thousands)
            : $units->bare($this->value, $this->dimension, $this->decimals, $this->isShort);
    }

    public function __toString(): string
    {
        $unit = $this->dimension === null ? $this->unit : Spoken::units()->of($this->dimension)->value;

        return $unit === '' ? $this->bare() : "{$this->bare()} {$unit}";
    }

    /** @param  float  $value  in the dimension's internal unit */
    private static function of(float $value, Dimension $dimension, int $decimals, bool $isShort = false): self
    {
        return new self($value, $decimals, $isShort, '', '', $dimension);
    }
}
