<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/** What a unit measures. Each has one internal unit, in which every value of it is kept. */
enum Dimension: string
{
    case Length = 'length';
    case Force = 'force';
    case Torque = 'torque';
    case Angle = 'angle';
    case Distance = 'distance';
    case Time = 'time';
    case Speed = 'speed';

    /** As a sentence names one of it: `a length`, `an angle`. */
    public function withArticle(): string
    {
        return ($this === self::Angle ? 'an ' : 'a ').$this->value;
    }

    public function internalUnit(): string
    {
        return match ($this) {
            self::Length => 'mm',
            self::Force => 'N',
            self::Torque => 'N·m',
            self::Angle => '°',
            self::Distance => 'km',
            self::Time => 's',
            self::Speed => 'km/h',
        };
    }
}
