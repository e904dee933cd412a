<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/** The families of controls that the core knows. */
enum FamilyKey: string
{
    case ClutchLever = 'clutch_lever';
    case AutomaticClutch = 'automatic_clutch';
    case HydraulicClutch = 'hydraulic_clutch';
    case TwistGrip = 'twist_grip';
    case TriggerThrottle = 'trigger_throttle';
    case PedalThrottle = 'pedal_throttle';
    case SlidingDrive = 'sliding_drive';
    case EngageByPull = 'engage_by_pull';
    case ReleaseByPull = 'release_by_pull';
    case Bail = 'bail';
    case SpeedSelector = 'speed_selector';
    case ModeCables = 'mode_cables';
    case HookControl = 'hook_control';
    case BrakePull = 'brake_pull';
    case OtherControl = 'other_control';
}
