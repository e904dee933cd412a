<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\ThreadedAdjuster;
use VividPull\Core\Errors\BadFile;
use VividPull\Core\Errors\Quoted;
use VividPull\Core\Errors\Refused;
use VividPull\Core\Input\Node;
use VividPull\Core\Log\CountedSteps;
use VividPull\Core\Log\Decoding;
use VividPull\Core\Log\Draft;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Log\ThreadState;
use VividPull\Core\Quantity\Steps;

/**
 * Where an adjuster stands, as measured: its position out from fully in; null where nobody could count it, and then
 * why.
 */
final readonly class ThreadNoted extends Entry
{
    /** Fields that say why it was not counted. */
    private const UNCOUNTED = [ThreadState::Unseen->value, ThreadState::Marked->value, ThreadState::Seized->value];

    public function __construct(
        Stamp $stamp,
        public string $adjuster,
        public ?Steps $position,
        public ThreadState $state = ThreadState::Measured,
    ) {
        parent::__construct($stamp);
    }

    /** @param  float  $at  in its own steps, out from fully in */
    public static function draft(Adjuster $adjuster, float $at): Draft
    {
        return new Draft(
            EntryKind::Thread,
            ['adjuster' => $adjuster->id(), $adjuster->counting()->unit->field() => $at],
        );
    }

    public static function draftShowing(ThreadedAdjuster $adjuster, float $mm): Draft
    {
        return new Draft(EntryKind::Thread, ['adjuster' => $adjuster->id(), 'showing_mm' => $mm]);
    }

    /** @param  ThreadState  $why  it was not counted */
    public static function draftUncounted(string $adjuster, ThreadState $why): Draft
    {
        return new Draft(EntryKind::Thread, ['adjuster' => $adjuster, $why->value => true]);
    }

    public static function from(Node $body, Stamp $stamp, Decoding $with): self
    {
        $body->object(['adjuster'], ['showing_mm', ...CountedSteps::FIELDS, ...self::UNCOUNTED]);
        $id = $body->at('adjuster')->string(40);
        $adjuster = $with->adjuster($id)
            ?? throw Refused::because(Quoted::text($id).' is not an adjuster of this control.');
        if ($body->has('showing_mm') && ! $adjuster instanceof ThreadedAdjuster) {
            throw BadFile::at(
                $body->at('showing_mm')->path,
                "the {$adjuster->name()} has no thread to measure; say where it stands in “steps”.",
            );
        }
        foreach (self::UNCOUNTED as $state) {
            if ($body->flag($state)) {
                return new self($stamp, $id, null, ThreadState::from($state));
            }
        }
        $position = $body->has('showing_mm') && $adjuster instanceof ThreadedAdjuster
            ? $adjuster->positionShowing($body->at('showing_mm')->number(0, 500))
            : CountedSteps::of($body, 0, $adjuster);

        return new self($stamp, $id, $position);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Thread;
    }

    public function said(LogNames $names): string
    {
        return $names->adjuster($this->adjuster).': '
            .($this->position === null
                ? lcfirst($this->state->label() ?? 'not counted')
                : $names->run->everKnown($this->adjuster)?->where($this->position));
    }
}
