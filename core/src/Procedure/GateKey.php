<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** What makes a control unfit for use, whatever its reading says. */
enum GateKey: string
{
    case SnapShut = 'snap_shut';
    case WireInGroove = 'wire_in_groove';
    case WireSound = 'wire_sound';
    case NotTaut = 'not_taut';
    case StillAtRest = 'still_at_rest';
    case BladeStops = 'blade_stops';
    case BrakeHolds = 'brake_holds';
    case SpeedGoverned = 'speed_governed';
    case Releases = 'releases';
    case ArmFree = 'arm_free';
    case SpringsReached = 'springs_reached';
    case PackSound = 'pack_sound';
}
