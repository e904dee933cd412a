<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Input\Node;
use VividPull\Core\Log\ClosingOutcome;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;

/** The job is signed and over. */
final readonly class Closed extends Entry
{
    public function __construct(Stamp $stamp, public ClosingOutcome $outcome, public ?string $nextCheck)
    {
        parent::__construct($stamp);
    }

    /** @param  string|null  $nextCheck  its day, where a person chose another than the bench would */
    public static function draft(ClosingOutcome $outcome, ?string $nextCheck = null): Draft
    {
        return new Draft(
            EntryKind::Closed,
            ['outcome' => $outcome->value] + ($nextCheck === null ? [] : ['next_check' => $nextCheck]),
        );
    }

    /** @param  array<string, mixed>  $record  what was read, found and done, as it stood when it was signed */
    public static function recording(Draft $closing, array $record): Draft
    {
        return new Draft(EntryKind::Closed, ['record' => $record] + $closing->body);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['outcome'], ['next_check', 'record']);

        return new self(
            $stamp,
            $body->at('outcome')->enum(ClosingOutcome::class),
            $body->optionalString('next_check', 10),
        );
    }

    public function kind(): EntryKind
    {
        return EntryKind::Closed;
    }

    public function said(LogNames $names): string
    {
        return 'Closed: '.match ($this->outcome) {
            ClosingOutcome::Fit => 'fit for use',
            ClosingOutcome::ByChoice => 'left outside by choice',
            ClosingOutcome::Tagged => 'tagged, do not run',
            ClosingOutcome::Checked => 'checked, play inside',
        };
    }
}
