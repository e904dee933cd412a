<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Quantity\StepUnit;

/** The kinds of adjuster, and what is true of every one of a kind. */
enum AdjusterKind: string
{
    case Barrel = 'barrel';
    case InLine = 'in_line';
    case BracketNuts = 'bracket_nuts';
    case HollowBolt = 'hollow_bolt';
    case CamScrew = 'cam_screw';
    case RungClamp = 'rung_clamp';
    case SlottedBracket = 'slotted_bracket';
    case PinchClamp = 'pinch_clamp';
    case HookHoles = 'hook_holes';
    case PushRodA = 'push_rod_a';
    case PushRodB = 'push_rod_b';
    case SplineArm = 'spline_arm';
    case GovernorNut = 'governor_nut';
    case SelfAdjuster = 'self_adjuster';
    case None = 'none';

    public function label(): string
    {
        return match ($this) {
            self::Barrel => 'barrel adjuster',
            self::InLine => 'in-line adjuster',
            self::BracketNuts => 'bracket nuts',
            self::HollowBolt => 'hollow adjusting bolt',
            self::CamScrew => 'cam screw',
            self::RungClamp => 'rung clamp',
            self::SlottedBracket => 'slotted bracket',
            self::PinchClamp => 'pinch clamp',
            self::HookHoles => 'hook holes',
            self::PushRodA => 'push-rod screw A',
            self::PushRodB => 'push-rod screw B',
            self::SplineArm => 'arm on its spline',
            self::GovernorNut => 'governor nut',
            self::SelfAdjuster => 'sprung self-adjuster',
            self::None => 'no adjuster',
        };
    }

    public function sets(): AdjustedQuantity
    {
        return match ($this) {
            self::Barrel, self::InLine, self::BracketNuts, self::HollowBolt, self::CamScrew, self::RungClamp,
            self::SlottedBracket, self::PinchClamp, self::HookHoles => AdjustedQuantity::Play,
            self::PushRodA, self::PushRodB, self::SplineArm, self::SelfAdjuster => AdjustedQuantity::Mechanism,
            self::GovernorNut => AdjustedQuantity::Speed,
            self::None => AdjustedQuantity::Nothing,
        };
    }

    public function isThreaded(): bool
    {
        return match ($this) {
            self::Barrel, self::InLine, self::BracketNuts, self::HollowBolt, self::GovernorNut => true,
            self::CamScrew, self::RungClamp, self::SlottedBracket, self::PinchClamp, self::HookHoles, self::PushRodA,
            self::PushRodB, self::SplineArm, self::SelfAdjuster, self::None => false,
        };
    }

    /** How what one step of it does is written down: by its thread, by its steps, or not at all. */
    public function measuredBy(): string
    {
        return match (true) {
            $this->isThreaded() => 'thread',
            $this->sets() === AdjustedQuantity::Play => 'steps',
            default => 'nothing',
        };
    }

    /** What its steps are counted in, clicks and bevels of a thread apart. */
    public function unit(): StepUnit
    {
        return match ($this) {
            self::Barrel, self::InLine, self::BracketNuts, self::HollowBolt, self::GovernorNut, self::CamScrew,
            self::PushRodA, self::PushRodB, self::SelfAdjuster, self::None => StepUnit::Turn,
            self::RungClamp => StepUnit::Rung,
            self::SlottedBracket, self::PinchClamp => StepUnit::Millimetre,
            self::HookHoles => StepUnit::Hole,
            self::SplineArm => StepUnit::Tooth,
        };
    }

    /** Which way slack goes with a step outward, where nothing else is written down. */
    public function usualSense(): Sense
    {
        return match ($this) {
            // A cam screw takes slack away when it is turned clockwise, which is its way in.
            self::CamScrew => Sense::OutGivesSlack,
            self::Barrel, self::InLine, self::BracketNuts, self::HollowBolt, self::GovernorNut, self::RungClamp,
            self::SlottedBracket,
            self::PinchClamp, self::HookHoles, self::PushRodA, self::PushRodB, self::SplineArm, self::SelfAdjuster,
            self::None => Sense::OutTakesSlack,
        };
    }

    /** The way of its positive step, as it is said. */
    private function outward(): string
    {
        return match ($this) {
            self::Barrel, self::InLine, self::BracketNuts, self::HollowBolt, self::GovernorNut, self::PushRodA,
            self::PushRodB, self::SelfAdjuster, self::None => 'out',
            self::CamScrew => 'anticlockwise',
            self::RungClamp => 'towards the engine',
            self::SlottedBracket => 'away from the working end',
            self::PinchClamp => 'through',
            self::HookHoles => 'tighter',
            self::SplineArm => 'forward',
        };
    }

    private function inward(): string
    {
        return match ($this) {
            self::Barrel, self::InLine, self::BracketNuts, self::HollowBolt, self::GovernorNut, self::PushRodA,
            self::PushRodB, self::SelfAdjuster, self::None => 'in',
            self::CamScrew => 'clockwise',
            self::RungClamp => 'towards the handle',
            self::SlottedBracket => 'towards the working end',
            self::PinchClamp => 'back',
            self::HookHoles => 'looser',
            self::SplineArm => 'back',
        };
    }

    public function ways(): Ways
    {
        return Ways::said($this->outward(), $this->inward());
    }

    /** The side a turn of it is seen from; without it, clockwise says nothing. */
    public function seenFrom(): string
    {
        return match ($this) {
            self::Barrel, self::InLine, self::HollowBolt => 'seen from the cable',
            self::BracketNuts => 'both nuts, seen from the cable',
            self::CamScrew => 'seen from its head',
            self::GovernorNut => 'seen from the end of the stud',
            self::PushRodA, self::PushRodB => 'seen from the cover',
            self::RungClamp, self::SlottedBracket, self::PinchClamp, self::HookHoles, self::SplineArm,
            self::SelfAdjuster, self::None => '',
        };
    }

    /**
     * Which way a right-hand thread is turned to go out, seen from that side: a barrel is screwed out of its seat, but
     * nuts are screwed along a threaded end that stands still, which is the other way about. Null where nothing turns.
     */
    public function rotationOut(): ?Rotation
    {
        return match ($this) {
            self::Barrel, self::InLine, self::HollowBolt, self::CamScrew, self::GovernorNut, self::PushRodA,
            self::PushRodB => Rotation::Anticlockwise,
            self::BracketNuts => Rotation::Clockwise,
            self::RungClamp, self::SlottedBracket, self::PinchClamp, self::HookHoles, self::SplineArm,
            self::SelfAdjuster, self::None => null,
        };
    }

    /** A clamp notches the wire it holds: it is moved when nothing else reaches. */
    public function isLastResort(): bool
    {
        return $this === self::PinchClamp;
    }

    /** How it is made fast after a move, as it is said. */
    public function fastening(): string
    {
        return match ($this) {
            self::RungClamp, self::SlottedBracket, self::PinchClamp => 'Tighten',
            self::HookHoles => 'Hook the wire home in',
            self::Barrel, self::InLine, self::BracketNuts, self::HollowBolt, self::CamScrew, self::GovernorNut,
            self::PushRodA, self::PushRodB,
            self::SplineArm, self::SelfAdjuster, self::None => 'Lock',
        };
    }

    public function fastened(): string
    {
        return match ($this) {
            self::RungClamp, self::SlottedBracket, self::PinchClamp => 'Tight',
            self::HookHoles => 'Hooked',
            self::Barrel, self::InLine, self::BracketNuts, self::HollowBolt, self::CamScrew, self::GovernorNut,
            self::PushRodA, self::PushRodB,
            self::SplineArm, self::SelfAdjuster, self::None => 'Locked',
        };
    }

    public function fasteningCaution(): string
    {
        return match ($this) {
            self::RungClamp => 'Not hard: the seat is plastic. See that the teeth sit in it.',
            self::SlottedBracket => 'Hold the bolt head behind its self-locking nut.',
            self::PinchClamp => 'Hold the wire where it is: the clamp notches it.',
            self::HookHoles => 'The Z-bend right through the hole, and its spring or clip back.',
            self::Barrel, self::InLine, self::BracketNuts, self::HollowBolt, self::CamScrew, self::GovernorNut,
            self::PushRodA, self::PushRodB,
            self::SplineArm, self::SelfAdjuster,
            self::None => 'Hold it while the lock is tightened: locking turns the adjuster.',
        };
    }

    /** What must be kept in mind while moving it; null where the stage's own caution says all. */
    public function caution(): ?string
    {
        return match ($this) {
            self::BracketNuts => 'Give one nut room and follow with the other. Count the stop nut.',
            self::HollowBolt => 'Hold the bolt while the nut is locked.',
            self::CamScrew => 'One turn at most, then read again: then half a turn.',
            self::RungClamp => 'Loosen the bolt a few turns. Tighten it gently: the seat is plastic.',
            self::PinchClamp => 'The clamp notches the wire: never the same place twice. Bring the bolt home first.',
            self::HookHoles => 'Note which hole before anything comes apart.',
            self::GovernorNut => 'Governed speed is never raised past the maker\'s limit.',
            self::SplineArm, self::PushRodA, self::PushRodB => 'Springs and snap rings: mind eyes and fingers.',
            self::Barrel, self::InLine, self::SlottedBracket, self::SelfAdjuster, self::None => null,
        };
    }
}
