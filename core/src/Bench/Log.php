<?php

declare(strict_types=1);

namespace VividPull\Core\Bench;

use VividPull\Core\Bench\Entry\Amended;
use VividPull\Core\Bench\Entry\Entry;
use VividPull\Core\Bench\Entry\Opened;
use VividPull\Core\Bench\Entry\Voided;
use VividPull\Core\Errors\Refused;

/** The entries of one job in the order the server took them; the first one opens it. */
final readonly class Log
{
    /** @param  non-empty-list<Entry>  $entries */
    private function __construct(public array $entries, public Opened $opened) {}

    /** @throws Refused If the first entry does not open the job, a second one does, or an id stands twice. */
    public static function of(Entry ...$entries): self
    {
        $entries = array_values($entries);
        $first = $entries[0] ?? null;
        if ($entries === [] || ! $first instanceof Opened) {
            throw Refused::because('A log begins with the entry that opens the job.');
        }
        $seen = [];
        foreach ($entries as $at => $entry) {
            if (isset($seen[$entry->stamp->id])) {
                throw Refused::because("Entry {$entry->stamp->id} stands twice in the log.");
            }
            if ($at > 0 && $entry instanceof Opened) {
                throw Refused::because('A job is opened once. Entry '.$entry->stamp->id.' opens it again.');
            }
            $seen[$entry->stamp->id] = true;
        }

        return new self($entries, $first);
    }

    public function with(Entry $entry): self
    {
        return self::of(...$this->entries, ...[$entry]);
    }

    /** @param  int<1, max>  $length */
    public function prefix(int $length): self
    {
        return self::of(...array_slice($this->entries, 0, $length));
    }

    public function find(string $id): ?Entry
    {
        foreach ($this->entries as $entry) {
            if ($entry->stamp->id === $id) {
                return $entry;
            }
        }

        return null;
    }

    /** @return array<string, Voided> by the id of the entry taken back */
    public function voids(): array
    {
        $voids = [];
        foreach ($this->entries as $entry) {
            if ($entry instanceof Voided) {
                $voids[$entry->entry] = $entry;
            }
        }

        return $voids;
    }

    /**
     * The log as it counts: taken-back entries dropped, amended ones put right at their place.
     *
     * @return list<Entry>
     */
    public function effective(): array
    {
        $voids = $this->voids();
        $amends = [];
        foreach ($this->entries as $entry) {
            if ($entry instanceof Amended && ! isset($voids[$entry->stamp->id])) {
                $amends[$entry->entry] = $entry->becomes;
            }
        }
        $effective = [];
        foreach ($this->entries as $entry) {
            $id = $entry->stamp->id;
            if (! isset($voids[$id]) && ! $entry instanceof Voided && ! $entry instanceof Amended) {
                $effective[] = $amends[$id] ?? $entry;
            }
        }

        return $effective;
    }
}
