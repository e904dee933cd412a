<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Log\Entry\AdjusterFitted;
use VividPull\Core\Log\Entry\AllConfirmed;
use VividPull\Core\Log\Entry\Amended;
use VividPull\Core\Log\Entry\CablesCompared;
use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\Closed;
use VividPull\Core\Log\Entry\Complained;
use VividPull\Core\Log\Entry\ConditionNoted;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\CoverMoved;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\GuideStepDone;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\Joined;
use VividPull\Core\Log\Entry\LeftByChoice;
use VividPull\Core\Log\Entry\MeasureTaken;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Entry\NothingFound;
use VividPull\Core\Log\Entry\Opened;
use VividPull\Core\Log\Entry\OutcomeSeen;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Entry\PartRefused;
use VividPull\Core\Log\Entry\PhotoTaken;
use VividPull\Core\Log\Entry\PolicyChosen;
use VividPull\Core\Log\Entry\PutRight;
use VividPull\Core\Log\Entry\ReadEnough;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\Entry\ReadingUpheld;
use VividPull\Core\Log\Entry\ReplacementStep;
use VividPull\Core\Log\Entry\SoakBegun;
use VividPull\Core\Log\Entry\Tagged;
use VividPull\Core\Log\Entry\ThreadNoted;
use VividPull\Core\Log\Entry\TraceTaken;
use VividPull\Core\Log\Entry\Untagged;
use VividPull\Core\Log\Entry\Voided;

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
    case NothingFound = 'nothing_found';
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

    /** @return class-string<Entry> what an entry of this kind is */
    public function entry(): string
    {
        return match ($this) {
            self::Opened => Opened::class,
            self::Joined => Joined::class,
            self::Complaint => Complained::class,
            self::Confirmed => Confirmed::class,
            self::AllConfirmed => AllConfirmed::class,
            self::Inspected => Inspected::class,
            self::Condition => ConditionNoted::class,
            self::Cover => CoverMoved::class,
            self::Thread => ThreadNoted::class,
            self::Reading => ReadingTaken::class,
            self::Upheld => ReadingUpheld::class,
            self::Enough => ReadEnough::class,
            self::Outcome => OutcomeSeen::class,
            self::Measure => MeasureTaken::class,
            self::Trace => TraceTaken::class,
            self::Move => Moved::class,
            self::Step => GuideStepDone::class,
            self::Part => PartFitted::class,
            self::Adjuster => AdjusterFitted::class,
            self::PartRefused => PartRefused::class,
            self::PutRight => PutRight::class,
            self::NothingFound => NothingFound::class,
            self::Photo => PhotoTaken::class,
            self::Replacing => ReplacementStep::class,
            self::Compared => CablesCompared::class,
            self::Soak => SoakBegun::class,
            self::Policy => PolicyChosen::class,
            self::Check => Checked::class,
            self::Note => Noted::class,
            self::Void => Voided::class,
            self::Amend => Amended::class,
            self::ByChoice => LeftByChoice::class,
            self::Tag => Tagged::class,
            self::Untag => Untagged::class,
            self::Closed => Closed::class,
        };
    }

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
