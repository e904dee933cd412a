<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

/** What an attempt is judged by. The weights are ours. */
enum Skill: string
{
    case Safe = 'safe';
    case Reading = 'reading';
    case Word = 'word';
    case Direction = 'direction';
    case Moves = 'moves';
    case Order = 'order';
    case Locked = 'locked';
    case Proofs = 'proofs';
    case Cause = 'cause';
    case End = 'end';

    public function label(): string
    {
        return match ($this) {
            self::Safe => 'Safe before hands go near',
            self::Reading => 'Readings',
            self::Word => 'What was written is so',
            self::Direction => 'The right way',
            self::Moves => 'Moves',
            self::Order => 'Adjusters left in order',
            self::Locked => 'Locked, and read again',
            self::Proofs => 'Proofs',
            self::Cause => 'The cause',
            self::End => 'How it was left',
        };
    }

    public function weight(): int
    {
        return match ($this) {
            self::Reading, self::Word => 15,
            self::End => 20,
            self::Safe, self::Moves, self::Proofs, self::Cause => 10,
            self::Direction, self::Order, self::Locked => 5,
        };
    }
}
