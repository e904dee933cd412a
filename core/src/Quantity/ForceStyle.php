<?php

declare(strict_types=1);

namespace VividPull\Core\Quantity;

/** How a person reads forces and torques. */
enum ForceStyle: string
{
    case Newtons = 'N';
    case PoundFeet = 'lbf_ft';
    case PoundInches = 'lbf_in';

    public function label(): string
    {
        return match ($this) {
            self::Newtons => 'N and N·m',
            self::PoundFeet => 'lbf and lbf·ft',
            self::PoundInches => 'lbf and lbf·in',
        };
    }

    public function force(): Unit
    {
        return $this === self::Newtons ? Unit::Newton : Unit::PoundForce;
    }

    public function torque(): Unit
    {
        return match ($this) {
            self::Newtons => Unit::NewtonMetre,
            self::PoundFeet => Unit::PoundForceFoot,
            self::PoundInches => Unit::PoundForceInch,
        };
    }
}
