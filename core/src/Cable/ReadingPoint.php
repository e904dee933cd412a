<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

/** Where free play is read. The same slack gives a different number at each of these places. */
enum ReadingPoint: string
{
    case LeverTip = 'lever_tip';
    case PerchGap = 'perch_gap';
    case FerruleGap = 'ferrule_gap';
    case ReleaseArm = 'release_arm';
    case GripFlange = 'grip_flange';
    case GripBackward = 'grip_backward';
    case CarburettorBarrel = 'carburettor_barrel';
    case HandleTravel = 'handle_travel';

    public function label(): string
    {
        return match ($this) {
            self::LeverTip => 'lever tip',
            self::PerchGap => 'lever/perch gap',
            self::FerruleGap => 'ferrule gap',
            self::ReleaseArm => 'release arm',
            self::GripFlange => 'grip flange',
            self::GripBackward => 'grip flange, backward',
            self::CarburettorBarrel => 'carburettor barrel',
            self::HandleTravel => 'handle',
        };
    }

    /** Where the travel of whatever the hand or foot moves is read: a handle, a pedal, a brake lever. */
    public function named(string $moved): string
    {
        return $this === self::HandleTravel ? $moved : $this->label();
    }

    /** @param  string  $moved  what the hand or foot moves, as it is called */
    public function howToRead(string $moved = 'handle'): string
    {
        return match ($this) {
            self::LeverTip => 'Rule beside the lever, at its tip. Draw the lever lightly to first resistance and read the travel.',
            self::PerchGap => 'Hold the conduit to its seat, draw the lever to first resistance, measure the gap between lever and perch.',
            self::FerruleGap => 'Pull the conduit straight back from its seat and measure the gap.',
            self::ReleaseArm => 'Wiggle the release arm by hand and read its play at the wire.',
            self::GripFlange => 'Let the grip snap back to rest, then take up only the play. Read the arc at the flange, not at the rubber.',
            self::GripBackward => 'Let the grip snap back to rest, then turn it on past rest. Read that arc at the flange: it is the play of the closing cable.',
            self::CarburettorBarrel => 'Lift the wire at the carburettor and measure its slack at the barrel.',
            self::HandleTravel => "Rule beside the {$moved}. Move it slowly and read its travel up to the first resistance.",
        };
    }
}
