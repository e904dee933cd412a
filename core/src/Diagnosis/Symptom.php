<?php

declare(strict_types=1);

namespace VividPull\Core\Diagnosis;

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
            self::NotWideOpen => 'Does not open fully',
            self::StaysOpen => 'Does not snap shut',
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
     * Those of a family that somebody's own words seem to name, in the family's order.
     *
     * @param  list<self>  $symptoms
     * @return list<self>
     */
    public static function understood(string $words, array $symptoms): array
    {
        $plain = (string) preg_replace('/\s+/', ' ', mb_strtolower($words));

        return array_values(array_filter($symptoms, static fn (self $one): bool => preg_match('/\b(?:'.$one->saidLike().')/u', $plain) === 1));
    }

    /** How people say it, as a pattern; a word may go on after each. */
    private function saidLike(): string
    {
        return match ($this) {
            self::Slips => 'slip|revs? (?:up|rise)|spins? up',
            self::CreepsIn => 'creep|lurch|drags? (?:on|with) the lever|pulls? away with the lever',
            self::HardToShift => 'grind|grat|hard to (?:shift|change)|won.?t go in|gears? (?:stick|grind)',
            self::BitesEarly => 'bites? (?:early|as it leaves|at the bar|right away)|grabs? early|grabs? at the bar',
            self::BitesLate => 'bites? (?:late|at the (?:very )?end|far out)|grabs? late',
            self::Soft => 'soft|spong|nothing behind|floppy|mush',
            self::Heavy => 'heavy|stiff|hard to (?:pull|draw|press|push)|slow(?:ly)? to (?:return|come back)|(?:comes?|goes|springs?|returns?) (?:back )?(?:too )?slow',
            self::PlayChanges => '(?:play|slack)[^.]*chang|chang[^.]*(?:play|slack)|different every|day to day',
            self::Jerky => 'jerk|snatch|all at once',
            self::DeadTravel => 'dead|nothing happens at first|takes? ages|free travel|too much slack',
            self::LowTopSpeed => 'slow|top speed|no speed|won.?t go fast|gutless',
            self::NotWideOpen => 'full throttle|not (?:wide )?open|half throttle|won.?t rev',
            self::StaysOpen => '(?:throttle|grip|trigger|pedal|gas)[^.]*(?:stick|stay|hang)|stick|hangs?|does ?n.?t (?:snap|close|shut)|won.?t (?:close|shut)',
            self::IdleRises => 'idle[^.]*(?:rise|climb|up|chang)|rev[^.]*(?:turn|steer|bars)|steer[^.]*(?:rev|idle)',
            self::CreepsOut => 'creep|moves? by itself|turns? by itself|let go[^.]*(?:turn|move|goes)|keeps? (?:turning|going|moving)|does ?n.?t stop|rolls? on|head turns',
            self::Weak => 'weak|slow|no drive|hardly|no pull|won.?t (?:pull|drive)|does ?n.?t (?:pull|drive)',
            self::HardToPullBack => 'hard to pull back|backward|pull it back|won.?t roll back|wheels lock',
            self::WrongDirection => 'wrong (?:way|direction)|forward in reverse|reverse[^.]*forward|r1[^.]*forward|f1[^.]*back|backward in forward',
            self::StartsSometimes => 'start[^.]*(?:sometimes|now and then|bad|not always)|(?:won.?t|does ?n.?t|hard to) start|sometimes[^.]*start|no start',
            self::RopeHard => 'rope|pull ?cord|hard to pull',
            self::RunsOn => 'runs? on|keeps? (?:running|spinning)|blade[^.]*(?:spin|run|stop)|does ?n.?t stop|stops? late|won.?t stop',
            self::BangsOnUnlocking => 'bang|clunk|loud knock',
            self::DashDisagrees => 'dash|lamp|light[^.]*(?:wrong|on)|display',
            self::NoSpringBack => '(?:not|n.?t) (?:spring|come|snap|go) back|(?:not|n.?t) return|falls? forward|stays? (?:in|down|pulled)',
            self::EndOfThread => 'end of (?:the )?thread|no thread|used up|all the way out|run out',
            self::Wobbles => 'wobbl|wiggl|loose (?:barrel|adjuster)|rattl',
            self::AgainAndAgain => 'again|every (?:week|day|month)|keeps? (?:needing|coming|going out)|over and over',
            self::DoesNotHold => 'does ?n.?t (?:hold|stop|brake|lock)|won.?t (?:hold|brake|lock)|no brake|weak brake|rolls? away',
            self::Drags => 'drag|rub|gets hot|hot (?:drum|wheel|brake)',
        };
    }

    /** Whether the machine is not to be run until the cause is found. */
    public function stopsTheMachine(): bool
    {
        return match ($this) {
            self::StaysOpen, self::CreepsIn, self::CreepsOut, self::IdleRises, self::RunsOn, self::DoesNotHold, self::WrongDirection => true,
            self::Slips, self::HardToShift, self::BitesEarly, self::BitesLate, self::Soft, self::Heavy, self::PlayChanges, self::Jerky, self::DeadTravel, self::LowTopSpeed,
            self::NotWideOpen, self::Weak, self::HardToPullBack, self::StartsSometimes, self::RopeHard, self::BangsOnUnlocking, self::DashDisagrees, self::NoSpringBack,
            self::EndOfThread, self::Wobbles, self::AgainAndAgain, self::Drags => false,
        };
    }
}
