<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/** What a stretch of a pull is made of. */
enum PhaseKind: string
{
    case FreePlay = 'free_play';
    case ReturnSpring = 'return_spring';
    case TakeUp = 'take_up';
    case Working = 'working';
    case Plateau = 'plateau';
    case EndStop = 'end_stop';

    public function label(WorkingEnd $end): string
    {
        return match ($this) {
            self::FreePlay => 'free play',
            self::ReturnSpring => 'return spring',
            self::TakeUp => 'take-up',
            self::Working => $end->label(),
            self::Plateau => "{$end->label()}, level",
            self::EndStop => 'end stop',
        };
    }
}
