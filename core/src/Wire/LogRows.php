<?php

declare(strict_types=1);

namespace VividPull\Core\Wire;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Cable\Pose;
use VividPull\Core\Facts\ReadingGroup;
use VividPull\Core\Judging\Judging;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Noted;
use VividPull\Core\Log\Entry\ReadingTaken;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\LogNames;
use VividPull\Core\Procedure\OwnWords;

/**
 * The bench log in the trade's words, one row an entry, oldest first.
 *
 * @phpstan-type LogRowShape array{
 *     id: string,
 *     // ISO 8601 with offset
 *     at: string,
 *     by: string,
 *     kind: value-of<EntryKind>,
 *     what: string,
 *     mm: float|null,
 *     mean_mm: float|null,
 *     expanded_mm: float|null,
 *     count: int|null,
 *     change_mm: float|null,
 *     says: string|null,
 *     // The reason it was taken back.
 *     voided: string|null,
 *     can_void: bool,
 *     can_amend: bool,
 *     // Whether this reading is asked about, or left out, and can be said to be right.
 *     can_uphold: bool,
 * }
 */
final readonly class LogRows
{
    /**
     * @param  LogNames  $names  what the entries speak of, as it is called here
     * @param  array<string, ReadingGroup>  $lasts  the group each reading ends, by the reading's id
     * @param  array<string, float|null>  $changes  change since the group before, by the same id
     * @param  array<string, true>  $asked  readings that are asked about, or left out of their mean
     */
    private function __construct(
        private BenchState $state,
        private LogNames $names,
        private array $lasts,
        private array $changes,
        private array $asked,
    ) {}

    /** @return list<LogRowShape> */
    public static function of(BenchState $state): array
    {
        $lasts = [];
        $changes = [];
        $asked = [];
        foreach ($state->cables() as $cable) {
            $before = null;
            foreach ($cable->facts->readings->groups as $group) {
                $id = $group->last()->stamp->id;
                $lasts[$id] = $group;
                foreach ($group->doubt === null ? $group->leftOut : [$group->doubt->reading] as $reading) {
                    $asked[$reading->stamp->id] = true;
                }
                $comparable = $before !== null
                    && $before->at->series === $group->at->series
                    && $before->first()->pose === $group->first()->pose;
                $changes[$id] = $comparable ? $group->found->mean - $before->found->mean : null;
                $before = $group->first()->pose === Pose::Straight ? $group : $before;
            }
        }
        $rows = new self($state, self::names($state), $lasts, $changes, $asked);
        $voids = $state->log->voids();

        return array_map(
            static fn (Entry $entry): array => $rows->row($entry, ($voids[$entry->stamp->id] ?? null)?->reason),
            $state->log->entries,
        );
    }

    private static function names(BenchState $state): LogNames
    {
        return new LogNames(
            $state->spec,
            $state->run,
            $state->log,
            $state->judgement->table?->table,
            $state->facts->proofs($state->spec, $state->run),
        );
    }

    /** @return LogRowShape */
    private function row(Entry $entry, ?string $voided): array
    {
        $group = $voided === null ? ($this->lasts[$entry->stamp->id] ?? null) : null;
        $open = $voided === null && $this->state->facts->closed === null;

        return [
            'id' => $entry->stamp->id,
            'at' => $entry->stamp->at,
            'by' => $entry->stamp->by->name,
            'kind' => $entry->kind()->value,
            'what' => $entry->said($this->names),
            'mm' => $entry instanceof ReadingTaken ? $entry->mm : null,
            'mean_mm' => $group?->found->mean,
            'expanded_mm' => $group?->found->expanded(),
            'count' => $group?->found->count,
            'change_mm' => $this->changes[$entry->stamp->id] ?? null,
            'says' => match (true) {
                $group !== null => $this->says($group),
                $entry instanceof Noted && $voided === null => $this->readOut($entry),
                default => null,
            },
            'voided' => $voided,
            'can_uphold' => $open && $entry instanceof ReadingTaken && isset($this->asked[$entry->stamp->id]),
            'can_void' => $open && $entry->kind()->canBeVoided(),
            'can_amend' => $open && $entry->kind()->canBeAmended(),
        ];
    }

    /** What a note seems to tell of by which nobody runs the machine: whoever wrote it sees what it is taken for. */
    private function readOut(Noted $note): ?string
    {
        $told = OwnWords::stopping($note->ownWords(), $this->state->spec->stopping());

        return $told === [] ? null : 'Asked about before signing: '.lcfirst(implode('; ', $told));
    }

    private function says(ReadingGroup $group): string
    {
        $state = $this->state->readAt($group->first()->point);
        $judgement = $state->judgement;
        $isFound = $judgement->foundGroup?->last()->stamp->id === $group->last()->stamp->id;

        return $isFound ? $judgement->found->sentence : Judging::heldAgainst($state->spec, $group)->sentence;
    }
}
