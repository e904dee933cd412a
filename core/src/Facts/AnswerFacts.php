<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\Checked;
use VividPull\Core\Log\Entry\ConditionNoted;
use VividPull\Core\Log\Entry\Confirmed;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Inspected;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Entry\PartFitted;
use VividPull\Core\Log\Person;
use VividPull\Core\Procedure\WireDamage;

/** What was confirmed, looked at, tried and fitted. */
final readonly class AnswerFacts
{
    /**
     * @param  array<string, Confirmed>  $confirmed  by key
     * @param  array<string, Inspected>  $inspected  by key
     * @param  array<string, Checked>  $checks  answers given since the last move, by key and pose
     * @param  list<Checked>  $voidedChecks  answers taken back; they still print
     * @param  list<Noted>  $notes
     * @param  list<PartFitted>  $parts
     * @param  array<string, Checked>  $foundChecks  answers given before anything was moved, by key and pose
     * @param  list<TriedProof>  $tried  every answer to a proof, those before a move as well
     * @param  list<array{Entry, Person}>  $overtaken  answers that do not count, for their author had not seen what
     *     this person did
     */
    public function __construct(
        public array $confirmed,
        public array $inspected,
        public ?ConditionNoted $condition,
        public array $checks,
        public array $voidedChecks,
        public array $notes,
        public array $parts,
        public array $foundChecks,
        public array $tried,
        public array $overtaken,
    ) {}

    /** What was written last of a wire that may part; null where nothing was. */
    public function wireInNotes(): ?string
    {
        $said = array_filter($this->notes, static fn (Noted $one): bool => WireDamage::isSaid($one->text));

        return $said === [] ? null : end($said)->text;
    }
}
