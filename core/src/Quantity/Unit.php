<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/** The units people write, each with its exact factor to the internal unit of its dimension. */
enum Unit: string
{
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Inch = 'in';
    case Thou = 'thou';
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
        'centimeter' => self::Centimetre, 'centimeters' => self::Centimetre,
        'in' => self::Inch, '"' => self::Inch, 'inch' => self::Inch, 'inches' => self::Inch,
        'thou' => self::Thou, 'thousandth' => self::Thou, 'thousandths' => self::Thou, 'mil' => self::Thou,
        'mils' => self::Thou,
        'n' => self::Newton, 'newton' => self::Newton, 'newtons' => self::Newton,
        'lbf' => self::PoundForce, 'lb' => self::PoundForce, 'lbs' => self::PoundForce, 'pound' => self::PoundForce,
        'pounds' => self::PoundForce,
        'kgf' => self::KilogramForce,
        '°' => self::Degree, 'deg' => self::Degree, 'degree' => self::Degree, 'degrees' => self::Degree,
        'km' => self::Kilometre, 'mi' => self::Mile, 'mile' => self::Mile, 'miles' => self::Mile,
        's' => self::Second, 'sec' => self::Second, 'second' => self::Second, 'seconds' => self::Second,
        'km/h' => self::KilometreAnHour, 'kmh' => self::KilometreAnHour, 'kph' => self::KilometreAnHour,
        'mph' => self::MileAnHour, 'mi/h' => self::MileAnHour,
    ];

    private const OF_FORCE = '(?:lbf|lbs?|pounds?)';

    private const JOINT = '[ ·*.\-]*';

    /** A full stop behind a unit, and how the two halves of a torque are joined, say nothing. */
    public static function tryFromText(string $text): ?self
    {
        $plain = mb_strtolower(trim($text));
        $bare = rtrim($plain, '.');
        [$force, $joint] = [self::OF_FORCE, self::JOINT];
        foreach ([
            "n{$joint}m" => self::NewtonMetre, 'newton'.$joint.'met(?:re|er)s?' => self::NewtonMetre,
            "{$force}{$joint}(?:ft|feet|foot)" => self::PoundForceFoot,
            "(?:ft|feet|foot){$joint}{$force}" => self::PoundForceFoot,
            "{$force}{$joint}(?:in|inch|inches)" => self::PoundForceInch,
            "(?:in|inch){$joint}{$force}" => self::PoundForceInch,
        ] as $pattern => $unit) {
            if (preg_match("/^{$pattern}$/u", $bare) === 1) {
                return $unit;
            }
        }

        return self::SPELLINGS[$bare] ?? null;
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
        return 'mm, cm, in, thou, N, lbf, kgf, N·m, lbf·ft, lbf·in, deg, km, mi, s, km/h or mph';
    }

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Millimetre, self::Centimetre, self::Inch, self::Thou => Dimension::Length,
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
            self::Millimetre, self::Newton, self::NewtonMetre, self::Degree, self::Kilometre, self::Second,
            self::KilometreAnHour => 1.0,
            self::Centimetre => 10.0,
            self::Inch => 25.4,
            self::Thou => 0.0254,
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
            self::Thou => $number->top * 127 / ($number->below * 5000),
            default => $number->top * $this->factor() / $number->below,
        };
    }
}
