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
    ];

    public static function tryFromText(string $text): ?self
    {
        return self::SPELLINGS[mb_strtolower(trim($text))] ?? null;
    }

    public static function namesForPeople(): string
    {
        return 'mm, cm, in, N, lbf, kgf, N·m, lbf·ft, lbf·in, deg, km or mi';
    }

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Millimetre, self::Centimetre, self::Inch => Dimension::Length,
            self::Newton, self::PoundForce, self::KilogramForce => Dimension::Force,
            self::NewtonMetre, self::PoundForceFoot, self::PoundForceInch => Dimension::Torque,
            self::Degree => Dimension::Angle,
            self::Kilometre, self::Mile => Dimension::Distance,
        };
    }

    /**
     * One of this unit in the internal unit. 1 in = 25.4 mm and 1 lbf = 4.4482216152605 N exactly, by the
     * international yard and pound agreement (1959) and the standard acceleration of free fall, 9.80665 m/s².
     */
    public function factor(): float
    {
        return match ($this) {
            self::Millimetre, self::Newton, self::NewtonMetre, self::Degree, self::Kilometre => 1.0,
            self::Centimetre => 10.0,
            self::Inch => 25.4,
            self::PoundForce => 4.4482216152605,
            self::KilogramForce => 9.80665,
            self::PoundForceFoot => 1.3558179483314004,
            self::PoundForceInch => 0.1129848290276167,
            self::Mile => 1.609344,
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
