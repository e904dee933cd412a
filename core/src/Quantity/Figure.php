<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

use Stringable;

/** A figure as it is said in a sentence: so many decimals, or as few as it needs, grouped, and its unit. The one place that writes one. */
final readonly class Figure implements Stringable
{
    private function __construct(private float $value, private int $decimals, private bool $isShort, private string $unit, private string $thousands = '', private bool $isLength = false) {}

    /** A length in mm, said to a tenth where nothing else is told, in the units of whoever reads it: `4.2 mm`. */
    public static function length(float $mm, int $decimals = 1): self
    {
        return new self($mm, $decimals, false, 'mm', '', true);
    }

    /** A length as it was written down, without zeros that say nothing: `4 mm`, `4.25 mm`. */
    public static function shortLength(float $mm, int $most = 2): self
    {
        return new self($mm, $most, true, 'mm', '', true);
    }

    public static function force(float $newtons): self
    {
        return new self($newtons, 0, false, 'N');
    }

    public static function speed(float $kmh): self
    {
        return new self($kmh, 1, false, 'km/h');
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
        return new self($value, $decimals, false, $unit, '', $unit === Unit::Millimetre->value);
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
        if ($this->isLength) {
            return Spoken::lengths()->bare($this->value, $this->decimals, $this->isShort);
        }
        $text = number_format($this->value, $this->decimals, '.', $this->thousands);

        return $this->isShort && str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    public function __toString(): string
    {
        $unit = $this->isLength ? self::lengthUnit() : $this->unit;

        return $unit === '' ? $this->bare() : "{$this->bare()} {$unit}";
    }
}
