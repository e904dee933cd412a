<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/** How a person reads lengths: in millimetres, in decimal inches, or in fractions of an inch as a rule is marked. */
enum LengthStyle: string
{
    case Millimetres = 'mm';
    case DecimalInches = 'in';
    case Eighths = 'in8';
    case Sixteenths = 'in16';
    case ThirtySeconds = 'in32';
    case SixtyFourths = 'in64';

    /** Decimals that a figure in inches has more than the same in millimetres, to be no coarser. */
    private const MORE_DECIMALS = 2;

    /** By which share the nearest mark may miss a length and still be said for it. */
    private const OFF = 0.08;

    public function label(): string
    {
        return match ($this) {
            self::Millimetres => 'mm',
            self::DecimalInches => 'inches, decimal: 0.394 in',
            self::Eighths => 'inches, eighths: 3/8 in',
            self::Sixteenths => 'inches, sixteenths: 7/16 in',
            self::ThirtySeconds => 'inches, thirty-seconds: 13/32 in',
            self::SixtyFourths => 'inches, sixty-fourths: 25/64 in',
        };
    }

    public function unit(): Unit
    {
        return $this === self::Millimetres ? Unit::Millimetre : Unit::Inch;
    }

    /** Marks in an inch; null where lengths are no fractions. */
    public function marks(): ?int
    {
        return match ($this) {
            self::Millimetres, self::DecimalInches => null,
            self::Eighths => 8,
            self::Sixteenths => 16,
            self::ThirtySeconds => 32,
            self::SixtyFourths => 64,
        };
    }

    /**
     * A length without its unit.
     *
     * @param  float  $mm  in mm, finite
     * @param  int  $decimals  that it would have in mm
     * @param  bool  $isShort  whether zeros that say nothing are left out
     */
    public function bare(float $mm, int $decimals, bool $isShort): string
    {
        $marks = $this->marks();
        $inches = $mm / Unit::Inch->factor();
        // Of what would be written in decimals, so that what is read back is written alike.
        $written = round($inches, $decimals + self::MORE_DECIMALS);
        if ($marks !== null && self::isNear($written, $marks)) {
            return self::fraction($written, $marks);
        }
        $text = $this === self::Millimetres
            ? number_format($mm, $decimals, '.', '')
            : number_format($inches, $decimals + self::MORE_DECIMALS, '.', '');

        return $isShort && str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /** Whether the nearest mark says what it is: a small length between two marks is said in decimals. */
    private static function isNear(float $inches, int $marks): bool
    {
        return abs(round($inches * $marks) / $marks - $inches) <= self::OFF * abs($inches);
    }

    /** To the nearest of so many marks in an inch, in lowest terms: `1 3/16`. */
    public static function fraction(float $inches, int $marks): string
    {
        $count = (int) round(abs($inches) * $marks);
        $whole = intdiv($count, $marks);
        $part = $count % $marks;
        while ($part !== 0 && $part % 2 === 0) {
            [$part, $marks] = [intdiv($part, 2), intdiv($marks, 2)];
        }
        $text = implode(
            ' ',
            array_filter(
                [$whole > 0 || $part === 0 ? (string) $whole : '', $part > 0 ? "{$part}/{$marks}" : ''],
                static fn (string $one): bool => $one !== '',
            ),
        );

        return $inches < 0.0 && $count > 0 ? "-{$text}" : $text;
    }
}
