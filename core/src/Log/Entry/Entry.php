<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/**
 * One line of a job's log. Never changed once written; taken back or put right only by later entries.
 *
 * Each kind is a class beside this one: its fields, how its body is read, and how it reads in the log. Whether it may
 * stand is asked in `Acceptance`, and what it does to the facts is in `Replay`.
 *
 * The list is closed, so that static analysis finds every place that a new kind is forgotten in.
 *
 * @phpstan-sealed AdjusterFitted|AllConfirmed|Amended|CablesCompared|Checked|Closed|Complained|ConditionNoted|Confirmed|CoverMoved|GuideStepDone|HandMeasured|Inspected|Joined|LeftByChoice|MeasureTaken|Moved|Noted|NothingFound|Opened|OutcomeSeen|PartFitted|PartRefused|PhotoTaken|PolicyChosen|PutRight|ReadEnough|ReadingTaken|ReadingUpheld|ReplacementStep|SoakBegun|Tagged|ThreadNoted|TraceTaken|Untagged|Voided
 */
abstract readonly class Entry
{
    protected const LONGEST_REASON = 500;

    protected const LONGEST_REMARK = 300;

    public function __construct(public Stamp $stamp) {}

    /**
     * From its body as it came; a body is kept as it was sent, so entries are only ever read.
     *
     * @throws BadFile If the body is not what an entry of this kind holds.
     * @throws Refused If it speaks of something that this control does not have.
     */
    abstract public static function from(Node $body, Stamp $stamp, Decoding $with): self;

    abstract public function kind(): EntryKind;

    /** The entry as a line of the log. */
    abstract public function said(LogNames $names): string;

    protected static function reason(Node $body): string
    {
        return $body->at('reason')->string(self::LONGEST_REASON);
    }

    protected static function remark(Node $body): ?string
    {
        return $body->optionalString('remark', self::LONGEST_REMARK);
    }

    protected static function withRemark(string $said, ?string $remark): string
    {
        return $remark === null ? $said : "{$said}. {$remark}";
    }
}
