<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/**
 * One line of a job's log. Never changed once written; taken back or put right only by later entries.
 *
 * The list is closed, so that static analysis finds every place that a new kind is forgotten in.
 *
 * @phpstan-sealed AdjusterFitted|AllConfirmed|Amended|CablesCompared|Checked|Closed|Complained|ConditionNoted|Confirmed|CoverMoved|GuideStepDone|Inspected|Joined|LeftByChoice|MeasureTaken|Moved|Noted|Opened|OutcomeSeen|PartFitted|PartRefused|PhotoTaken|PolicyChosen|PutRight|ReadEnough|ReadingTaken|ReadingUpheld|ReplacementStep|SoakBegun|Tagged|ThreadNoted|TraceTaken|Untagged|Voided
 */
abstract readonly class Entry
{
    public function __construct(public Stamp $stamp) {}

    abstract public function kind(): EntryKind;
}
