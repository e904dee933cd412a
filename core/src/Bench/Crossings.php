<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Bench\Entry\Entry;
use VividPull\Core\Bench\Entry\Moved;

/**
 * Entries whose author had not yet seen that someone else moved the cable. Nothing is learned across them, and the
 * screen says: two people moved this cable, read again.
 */
final readonly class Crossings
{
    /**
     * @param  array<string, int>  $places  where each entry stands in the log
     * @param  array<int, Person>  $movers  who moved, by place
     */
    private function __construct(private array $places, private array $movers) {}

    public static function in(Log $log): self
    {
        $places = [];
        $movers = [];
        $voids = $log->voids();
        foreach ($log->entries as $place => $entry) {
            $places[$entry->stamp->id] = $place;
            if ($entry instanceof Moved && ! isset($voids[$entry->stamp->id])) {
                $movers[$place] = $entry->stamp->by;
            }
        }

        return new self($places, $movers);
    }

    public function concern(Entry $entry): bool
    {
        $seen = $this->places[$entry->stamp->after ?? ''] ?? null;
        $here = $this->places[$entry->stamp->id];
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
