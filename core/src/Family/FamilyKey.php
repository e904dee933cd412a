<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

/** The families of controls that the core knows, and where each is written down. */
enum FamilyKey: string
{
    case ClutchLever = 'clutch_lever';
    case TwistGrip = 'twist_grip';
    case TriggerThrottle = 'trigger_throttle';
    case OtherControl = 'other_control';

    public function family(): Family
    {
        return match ($this) {
            self::ClutchLever => new ClutchLever,
            self::TwistGrip => new TwistGrip,
            self::TriggerThrottle => new TriggerThrottle,
            self::OtherControl => new OtherControl,
        };
    }
}
