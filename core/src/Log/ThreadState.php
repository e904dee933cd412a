<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/** What a person could say of where an adjuster stands. */
enum ThreadState: string
{
    case Measured = 'measured';
    /** Under its cover, or too dirty to measure: its place is learned by its stops. */
    case Unseen = 'unseen';
    /** Its place is drawn on with a pen and not counted: it can be brought back by eye. */
    case Marked = 'marked';
    /** It will not turn: nothing is planned with it until it is freed. */
    case Seized = 'seized';

    public function label(): ?string
    {
        return match ($this) {
            self::Measured => null,
            self::Unseen => 'Cannot be seen',
            self::Marked => 'Marked with a pen, not counted',
            self::Seized => 'It will not turn',
        };
    }
}
