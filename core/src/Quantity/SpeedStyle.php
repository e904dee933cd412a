<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/** How a person reads speeds. What a meter counts, kilometres or miles, belongs to the meter. */
enum SpeedStyle: string
{
    case Kilometres = 'km/h';
    case Miles = 'mph';

    public function label(): string
    {
        return $this->value;
    }

    public function unit(): Unit
    {
        return $this === self::Kilometres ? Unit::KilometreAnHour : Unit::MileAnHour;
    }
}
