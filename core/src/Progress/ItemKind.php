<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

/** How an item is settled: by one of its answers, or in a way of its own. */
enum ItemKind: string
{
    case Answer = 'answer';
    case Thread = 'thread';
    case Reading = 'reading';
    case Measure = 'measure';
    /** Old and new cable are laid side by side. */
    case Compare = 'compare';
    /** A picture is taken, or what it would show is written down. */
    case Photo = 'photo';
    case InBand = 'in_band';
    case SignOff = 'sign_off';

    /** What is typed to settle it, where no answer is listed. */
    public function howTyped(): string
    {
        return match ($this) {
            self::Answer => 'Use its button.',
            self::Thread => 'Type where it stands, such as: thread 3 mm, or thread 5.',
            self::Reading => 'Type the reading, such as: 12 mm, or 1/2 in.',
            self::Measure => 'Type what was measured.',
            self::Compare => 'Type how much wire each cable shows, in its own fields.',
            self::Photo => 'Take the picture, or write down what it would show.',
            self::InBand => 'Type a reading; done for the move that is shown; or another move, such as: +2f, or +1r.',
            self::SignOff => 'Sign the job, or tag the machine.',
        };
    }
}
