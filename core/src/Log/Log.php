<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

use VividPull\Core\Errors\Refused;
use VividPull\Core\Log\Entry\Amended;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Entry\Opened;
use VividPull\Core\Log\Entry\Voided;

/** The entries of one job in the order the server took them; the first one opens it. */
final readonly class Log
{
    /**
     * @param  non-empty-list<Entry>  $entries
     * @param  array<string, int>  $places  where each entry stands, by its id
     * @param  array<string, Voided>  $voids  by the id of the entry taken back
     * @param  array<string, Amended>  $amends  by the id of the entry put right; taken-back amendments too
     */
    private function __construct(
        public array $entries,
        public Opened $opened,
        public array $places,
        private array $voids,
        private array $amends,
    ) {}

    /** @throws Refused If the first entry does not open the job, a second one does, or an id stands twice. */
    public static function of(Entry ...$entries): self
    {
        $first = array_shift($entries);
        if (! $first instanceof Opened) {
            throw Refused::because('A log begins with the entry that opens the job.');
        }
        $all = [$first];
        $places = [$first->stamp->id => 0];
        $voids = [];
        $amends = [];
        foreach ($entries as $entry) {
            $id = $entry->stamp->id;
            self::mayFollow($entry, isset($places[$id]));
            $places[$id] = count($all);
            $all[] = $entry;
            if ($entry instanceof Voided) {
                $voids[$entry->entry] = $entry;
            } elseif ($entry instanceof Amended) {
                $amends[$entry->entry] = $entry;
            }
        }

        return new self($all, $first, $places, $voids, $amends);
    }

    /**
     * When an entry of it happened, for what is reckoned from it: by its author's clock, where that can be. It was not
     * after the server had it, nor before the server had the entry that opened the job.
     *
     * @return string RFC 3339, at the offset of the author's clock
     */
    public function happenedAt(Entry $entry): string
    {
        return $entry->stamp->happenedAt($this->opened->stamp->receivedAt);
    }

    public function with(Entry $entry): self
    {
        $id = $entry->stamp->id;
        self::mayFollow($entry, isset($this->places[$id]));

        return new self(
            [...$this->entries, $entry],
            $this->opened,
            [$id => count($this->entries)] + $this->places,
            $entry instanceof Voided ? [$entry->entry => $entry] + $this->voids : $this->voids,
            $entry instanceof Amended ? [$entry->entry => $entry] + $this->amends : $this->amends,
        );
    }

    /** @param  int<1, max>  $length */
    public function prefix(int $length): self
    {
        return self::of(...array_slice($this->entries, 0, $length));
    }

    public function find(string $id): ?Entry
    {
        return isset($this->places[$id]) ? $this->entries[$this->places[$id]] : null;
    }

    /** @return array<string, Voided> by the id of the entry taken back */
    public function voids(): array
    {
        return $this->voids;
    }

    /**
     * The log as it counts: taken-back entries dropped, amended ones put right at their place.
     *
     * @return list<Entry>
     */
    public function effective(): array
    {
        if ($this->voids === [] && $this->amends === []) {
            return $this->entries;
        }
        $effective = [];
        foreach ($this->entries as $entry) {
            if (! isset($this->voids[$entry->stamp->id]) && ! $entry instanceof Voided && ! $entry instanceof Amended) {
                $effective[] = $this->putRight($entry);
            }
        }

        return $effective;
    }

    /** The newest amendment that was not itself taken back. */
    private function putRight(Entry $entry): Entry
    {
        if (! isset($this->amends[$entry->stamp->id])) {
            return $entry;
        }
        foreach (array_reverse($this->entries) as $later) {
            if (
                $later instanceof Amended
                && $later->entry === $entry->stamp->id
                && ! isset($this->voids[$later->stamp->id])
            ) {
                return $later->becomes;
            }
        }

        return $entry;
    }

    private static function mayFollow(Entry $entry, bool $isThere): void
    {
        if ($isThere) {
            throw Refused::because("Entry {$entry->stamp->id} stands twice in the log.");
        }
        if ($entry instanceof Opened) {
            throw Refused::because("A job is opened once. Entry {$entry->stamp->id} opens it again.");
        }
    }
}
