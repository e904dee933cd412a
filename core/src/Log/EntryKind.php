<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/** The closed list of what can stand in a job's log. */
enum EntryKind: string
{
    case Opened = 'opened';
    case Joined = 'joined';
    case Complaint = 'complaint';
    case Confirmed = 'confirmed';
    case AllConfirmed = 'all_confirmed';
    case Inspected = 'inspected';
    case Condition = 'condition';
    case Cover = 'cover';
    case Thread = 'thread';
    case Reading = 'reading';
    case Upheld = 'upheld';
    case Enough = 'enough';
    case Outcome = 'outcome';
    case Measure = 'measure';
    case Trace = 'trace';
    case Move = 'move';
    case Step = 'step';
    case Part = 'part';
    case Adjuster = 'adjuster';
    case PartRefused = 'part_refused';
    case PutRight = 'put_right';
    case Photo = 'photo';
    case Replacing = 'replacing';
    case Compared = 'compared';
    case Soak = 'soak';
    case Policy = 'policy';
    case Check = 'check';
    case Note = 'note';
    case Void = 'void';
    case Amend = 'amend';
    case ByChoice = 'by_choice';
    case Tag = 'tag';
    case Untag = 'untag';
    case Closed = 'closed';

    /** Whether an entry of this kind may be taken back. */
    public function canBeVoided(): bool
    {
        return match ($this) {
            self::Opened, self::Closed, self::Tag, self::Untag, self::Void, self::Joined => false,
            default => true,
        };
    }

    /** Whether an entry of this kind may be put right at its place. */
    public function canBeAmended(): bool
    {
        return match ($this) {
            self::Reading, self::Outcome, self::Measure, self::Move, self::Thread, self::Check, self::Inspected,
            self::Condition => true,
            default => false,
        };
    }
}
