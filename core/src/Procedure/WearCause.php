<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** What moves a control's play by itself, as far as its sign and its family can tell. */
enum WearCause: string
{
    case Plates = 'plates';
    case Lining = 'lining';
    case LiningAndStretch = 'lining_and_stretch';
    case Stretch = 'stretch';
    case Belt = 'belt';
    case SelfLoosening = 'self_loosening';
    case Tightening = 'tightening';

    /** As the story begins: `Plates are wearing`. */
    public function label(): string
    {
        return match ($this) {
            self::Plates => 'Plates are wearing',
            self::Lining => 'Lining is wearing',
            self::LiningAndStretch => 'Lining wears and the cable stretches',
            self::Stretch => 'The cable is stretching',
            self::Belt => 'The belt is stretching',
            self::SelfLoosening => 'Cable stretches, or an adjuster turns by itself',
            self::Tightening => 'Something tightens',
        };
    }

    /** What else to look at while it is at hand. */
    public function alsoLook(): string
    {
        return match ($this) {
            self::Plates => 'Play that shrinks holds the clutch open: it slips next.',
            self::Lining => 'Look at the lining at the next service.',
            self::LiningAndStretch => 'Both go the same way and cannot be told apart from here.',
            self::Stretch => 'Look behind the end fittings for broken strands.',
            self::Belt => 'Look at belt and idler before turning further.',
            self::SelfLoosening => 'Mark the lock nut and look again.',
            self::Tightening => 'Play does not shrink by wear here: look for rust, a kink or a conduit out of its clip.',
        };
    }

    /** What to replace where it is needed again and again. */
    public function replace(): string
    {
        return match ($this) {
            self::Plates => 'Measure the pack: plates near their limit are the cure.',
            self::Lining => 'Measure the lining: near its limit a new one is the cure.',
            self::LiningAndStretch => 'Measure the lining, then compare the cable with a new one.',
            self::Stretch => 'A cable that stretches again and again is finished: replace it.',
            self::Belt => 'A belt that needs it again and again is worn: replace it.',
            self::SelfLoosening => 'Replace the lock nut or ring; if it stays locked and still grows, the cable.',
            self::Tightening => 'Replace the cable if it does not slide freely by hand.',
        };
    }
}
