<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/** The units people write, each with its exact factor to the internal unit of its dimension. */
enum Unit: string
{
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Inch = 'in';
    case Newton = 'N';
    case PoundForce = 'lbf';
    case KilogramForce = 'kgf';
    case NewtonMetre = 'N·m';
    case PoundForceFoot = 'lbf·ft';
    case PoundForceInch = 'lbf·in';
    case Degree = '°';
    case Kilometre = 'km';
    case Mile = 'mi';
    case Second = 's';
    case KilometreAnHour = 'km/h';
    case MileAnHour = 'mph';

    private const SPELLINGS = [
        'mm' => self::Millimetre, 'millimetre' => self::Millimetre, 'millimetres' => self::Millimetre,
        'millimeter' => self::Millimetre, 'millimeters' => self::Millimetre,
        'cm' => self::Centimetre, 'centimetre' => self::Centimetre, 'centimetres' => self::Centimetre,
        'in' => self::Inch, 'in.' => self::Inch, '"' => self::Inch, 'inch' => self::Inch, 'inches' => self::Inch,
        'n' => self::Newton, 'newton' => self::Newton, 'newtons' => self::Newton,
        'lbf' => self::PoundForce, 'lb' => self::PoundForce, 'lbs' => self::PoundForce,
        'kgf' => self::KilogramForce,
        'nm' => self::NewtonMetre, 'n·m' => self::NewtonMetre, 'n-m' => self::NewtonMetre, 'n m' => self::NewtonMetre,
        'lbf·ft' => self::PoundForceFoot, 'lbf-ft' => self::PoundForceFoot, 'lb-ft' => self::PoundForceFoot,
        'ft-lb' => self::PoundForceFoot, 'ft-lbf' => self::PoundForceFoot, 'ft·lbf' => self::PoundForceFoot,
        'ft·lb' => self::PoundForceFoot, 'lbf ft' => self::PoundForceFoot, 'ft lb' => self::PoundForceFoot,
        'lbf·in' => self::PoundForceInch, 'in-lb' => self::PoundForceInch, 'lb-in' => self::PoundForceInch,
        'lbf-in' => self::PoundForceInch, 'lbf in' => self::PoundForceInch, 'in-lbf' => self::PoundForceInch,
        '°' => self::Degree, 'deg' => self::Degree, 'degree' => self::Degree, 'degrees' => self::Degree,
        'km' => self::Kilometre, 'mi' => self::Mile, 'mile' => self::Mile, 'miles' => self::Mile,
        's' => self::Second, 'sec' => self::Second, 'second' => self::Second, 'seconds' => self::Second,
        'km/h' => self::KilometreAnHour, 'kmh' => self::KilometreAnHour, 'kph' => self::KilometreAnHour,
        'mph' => self::MileAnHour, 'mi/h' => self::MileAnHour,
    ];

    public static function tryFromText(string $text): ?self
    {
        return self::SPELLINGS[mb_strtolower(trim($text))] ?? null;
    }

    /** The unit a bare number of this dimension is in. */
    public static function usualOf(Dimension $dimension): self
    {
        return match ($dimension) {
            Dimension::Length => self::Millimetre,
            Dimension::Force => self::Newton,
            Dimension::Torque => self::NewtonMetre,
            Dimension::Angle => self::Degree,
            Dimension::Distance => self::Kilometre,
            Dimension::Time => self::Second,
            Dimension::Speed => self::KilometreAnHour,
        };
    }

    public static function namesForPeople(): string
    {
        return 'mm, cm, in, N, lbf, kgf, N·m, lbf·ft, lbf·in, deg, km, mi, s, km/h or mph';
    }

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Millimetre, self::Centimetre, self::Inch => Dimension::Length,
            self::Newton, self::PoundForce, self::KilogramForce => Dimension::Force,
            self::NewtonMetre, self::PoundForceFoot, self::PoundForceInch => Dimension::Torque,
            self::Degree => Dimension::Angle,
            self::Kilometre, self::Mile => Dimension::Distance,
            self::Second => Dimension::Time,
            self::KilometreAnHour, self::MileAnHour => Dimension::Speed,
        };
    }

    /**
     * One of this unit in the internal unit. 1 in = 25.4 mm and 1 lbf = 4.4482216152605 N exactly, by the
     * international yard and pound agreement (1959) and the standard acceleration of free fall, 9.80665 m/s².
     */
    public function factor(): float
    {
        return match ($this) {
            self::Millimetre, self::Newton, self::NewtonMetre, self::Degree, self::Kilometre, self::Second, self::KilometreAnHour => 1.0,
            self::Centimetre => 10.0,
            self::Inch => 25.4,
            self::PoundForce => 4.4482216152605,
            self::KilogramForce => 9.80665,
            self::PoundForceFoot => 1.3558179483314004,
            self::PoundForceInch => 0.1129848290276167,
            self::Mile, self::MileAnHour => 1.609344,
        };
    }

    /** Multiplies before it divides, so that a length is rounded once. */
    public function toInternal(Fraction $number): float
    {
        return match ($this) {
            self::Inch => $number->top * 127 / ($number->below * 5),
            default => $number->top * $this->factor() / $number->below,
        };
    }
}
