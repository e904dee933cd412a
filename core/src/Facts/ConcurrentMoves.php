<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Moved;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Person;

/**
 * Entries whose author had not yet seen that someone else moved the cable. Nothing is learned across them, and the
 * screen says: two people moved this cable, read again.
 */
final readonly class ConcurrentMoves
{
    /** @param  array<int, Person>  $movers  who moved, by place */
    private function __construct(private Log $log, private array $movers) {}

    public static function in(Log $log): self
    {
        $movers = [];
        $voids = $log->voids();
        foreach ($log->entries as $place => $entry) {
            if ($entry instanceof Moved && ! isset($voids[$entry->stamp->id])) {
                $movers[$place] = $entry->stamp->by;
            }
        }

        return new self($log, $movers);
    }

    public function concern(Entry $entry): bool
    {
        $seen = $this->log->places[$entry->stamp->after ?? ''] ?? null;
        $here = $this->log->places[$entry->stamp->id];
        if ($seen === null || $seen === $here - 1) {
            return false;
        }
        for ($place = $seen + 1; $place < $here; $place++) {
            if (isset($this->movers[$place]) && ! $this->movers[$place]->is($entry->stamp->by)) {
                return true;
            }
        }

        return false;
    }
}
