<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** What people come with, in the words they use. */
enum Symptom: string
{
    case Slips = 'slips';
    case CreepsIn = 'creeps_in';
    case HardToShift = 'hard_to_shift';
    case BitesEarly = 'bites_early';
    case BitesLate = 'bites_late';
    case Soft = 'soft';
    case Heavy = 'heavy';
    case PlayChanges = 'play_changes';
    case Jerky = 'jerky';
    case DeadTravel = 'dead_travel';
    case LowTopSpeed = 'low_top_speed';
    case TooFast = 'too_fast';
    case NotWideOpen = 'not_wide_open';
    case StaysOpen = 'stays_open';
    case IdleRises = 'idle_rises';
    case CreepsOut = 'creeps_out';
    case Weak = 'weak';
    case HardToPullBack = 'hard_to_pull_back';
    case WrongDirection = 'wrong_direction';
    case StartsSometimes = 'starts_sometimes';
    case RopeHard = 'rope_hard';
    case RunsOn = 'runs_on';
    case BangsOnUnlocking = 'bangs_on_unlocking';
    case DashDisagrees = 'dash_disagrees';
    case NoSpringBack = 'no_spring_back';
    case EndOfThread = 'end_of_thread';
    case Wobbles = 'wobbles';
    case AgainAndAgain = 'again_and_again';
    case DoesNotHold = 'does_not_hold';
    case Drags = 'drags';

    public function words(): string
    {
        return match ($this) {
            self::Slips => 'Slips under load',
            self::CreepsIn => 'Creeps or lurches with the lever in',
            self::HardToShift => 'Grinds, or is hard to shift',
            self::BitesEarly => 'Bites as soon as the lever leaves the bar',
            self::BitesLate => 'Bites at the very end',
            self::Soft => 'Lever feels soft, nothing behind it',
            self::Heavy => 'Heavy, or slow to return',
            self::PlayChanges => 'Play changes from day to day',
            self::Jerky => 'Takes off with a jerk',
            self::DeadTravel => 'Dead travel first',
            self::LowTopSpeed => 'Low top speed',
            self::TooFast => 'Faster than its limit',
            self::NotWideOpen => 'Does not open fully',
            self::StaysOpen => 'Does not snap shut, or shuts slowly',
            self::IdleRises => 'Idle rises when steering',
            self::CreepsOut => 'Moves or turns with the control let go',
            self::Weak => 'Drive weak or slow',
            self::HardToPullBack => 'Hard to pull backward',
            self::WrongDirection => 'Goes the wrong way in a gear',
            self::StartsSometimes => 'Starts only sometimes',
            self::RopeHard => 'Starter rope hard to pull',
            self::RunsOn => 'Runs on, or stops late, when let go',
            self::BangsOnUnlocking => 'Loud bang when a lock lets go',
            self::DashDisagrees => 'Dash and wheels disagree',
            self::NoSpringBack => 'Does not spring back by itself',
            self::EndOfThread => 'Adjuster at the end of its thread',
            self::Wobbles => 'Adjuster wobbles',
            self::AgainAndAgain => 'Needs adjusting again and again',
            self::DoesNotHold => 'Does not hold',
            self::Drags => 'Drags when let go',
        };
    }

    /**
     * @param  list<self>  $symptoms  those told of a control
     * @return list<self> those of them by which nobody runs it until the cause is found
     */
    public static function stopping(array $symptoms, bool $worksWhileHeld): array
    {
        return array_values(array_filter(
            $symptoms,
            static fn (self $one): bool => $one->stopsTheMachine($worksWhileHeld),
        ));
    }

    /**
     * Whether the machine is not to be run until the cause is found.
     *
     * @param  bool  $worksWhileHeld  whether what the control works goes on for as long as that is held: one that does
     *     not come back by itself leaves a throttle open, or a drive or a blade going. Common practice, no source.
     */
    public function stopsTheMachine(bool $worksWhileHeld): bool
    {
        return match ($this) {
            self::NoSpringBack => $worksWhileHeld,
            self::StaysOpen, self::CreepsIn, self::CreepsOut, self::IdleRises, self::RunsOn, self::DoesNotHold,
            self::WrongDirection, self::TooFast => true,
            self::Slips, self::HardToShift, self::BitesEarly, self::BitesLate, self::Soft, self::Heavy,
            self::PlayChanges, self::Jerky, self::DeadTravel, self::LowTopSpeed,
            self::NotWideOpen, self::Weak, self::HardToPullBack, self::StartsSometimes, self::RopeHard,
            self::BangsOnUnlocking, self::DashDisagrees, self::EndOfThread, self::Wobbles, self::AgainAndAgain,
            self::Drags => false,
        };
    }
}
