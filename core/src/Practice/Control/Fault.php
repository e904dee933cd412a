<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

use VividPull\Core\Procedure\Cure;

/** What can be wrong with a control beside its setting, and what puts it right. Common practice, no source. */
enum Fault: string
{
    case WeakSpring = 'weak_spring';
    case Dry = 'dry';
    case Belt = 'belt';
    case Mount = 'mount';
    case OffGroove = 'off_groove';
    case OffSeat = 'off_seat';
    case Route = 'route';
    case FrayedWire = 'frayed_wire';
    case WrongSpline = 'wrong_spline';
    case Air = 'air';

    public function label(): string
    {
        return match ($this) {
            self::WeakSpring => 'a weak or unhooked return spring',
            self::Dry => 'a dry wire or stiff pivots',
            self::Belt => 'a worn or slipped belt',
            self::Mount => 'a loose or bent mount, peg or bracket',
            self::OffGroove => 'a wire beside its groove',
            self::OffSeat => 'an end beside its seat',
            self::Route => 'a cable on a wrong route',
            self::FrayedWire => 'a frayed wire',
            self::WrongSpline => 'an arm on the wrong spline',
            self::Air => 'air in the line',
        };
    }

    /** Null where nothing on the bench does: it is replaced. */
    public function cure(): ?Cure
    {
        return match ($this) {
            self::WeakSpring => Cure::Spring,
            self::Dry => Cure::Oiled,
            self::Belt => Cure::Belt,
            self::Mount => Cure::Mount,
            self::OffGroove => Cure::Groove,
            self::OffSeat => Cure::Ferrule,
            self::Route => Cure::Route,
            self::WrongSpline, self::Air => Cure::Other,
            self::FrayedWire => null,
        };
    }

    /** Whether it hides in the dark behind its fittings, where it is only seen with a light. */
    public function needsLight(): bool
    {
        return $this === self::FrayedWire;
    }

    /** The part that is looked over and shows it; null where only trying does. */
    public function isSeenAt(): ?string
    {
        return $this === self::FrayedWire ? 'wire' : null;
    }
}
