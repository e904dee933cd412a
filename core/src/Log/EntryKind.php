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
use VividPull\Core\Log\Entry\HandMeasured;
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
    case Hand = 'hand';
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

    /** What an entry of each kind is; static analysis finds a kind that is left out. */
    private const ENTRIES = [
        'opened' => Opened::class,
        'joined' => Joined::class,
        'complaint' => Complained::class,
        'confirmed' => Confirmed::class,
        'all_confirmed' => AllConfirmed::class,
        'inspected' => Inspected::class,
        'condition' => ConditionNoted::class,
        'cover' => CoverMoved::class,
        'thread' => ThreadNoted::class,
        'reading' => ReadingTaken::class,
        'upheld' => ReadingUpheld::class,
        'enough' => ReadEnough::class,
        'outcome' => OutcomeSeen::class,
        'measure' => MeasureTaken::class,
        'trace' => TraceTaken::class,
        'move' => Moved::class,
        'step' => GuideStepDone::class,
        'part' => PartFitted::class,
        'adjuster' => AdjusterFitted::class,
        'hand' => HandMeasured::class,
        'part_refused' => PartRefused::class,
        'put_right' => PutRight::class,
        'nothing_found' => NothingFound::class,
        'photo' => PhotoTaken::class,
        'replacing' => ReplacementStep::class,
        'compared' => CablesCompared::class,
        'soak' => SoakBegun::class,
        'policy' => PolicyChosen::class,
        'check' => Checked::class,
        'note' => Noted::class,
        'void' => Voided::class,
        'amend' => Amended::class,
        'by_choice' => LeftByChoice::class,
        'tag' => Tagged::class,
        'untag' => Untagged::class,
        'closed' => Closed::class,
    ];

    /** @return class-string<Entry> what an entry of this kind is */
    public function entry(): string
    {
        return self::ENTRIES[$this->value];
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
