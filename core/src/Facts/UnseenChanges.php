<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Log\Log;
use VividPull\Core\Log\Person;

/**
 * Two people at one machine: what somebody else did that the author of an entry had not yet seen. A reading across it
 * teaches nothing, and nobody knows of an answer whether it was given before or after it, so one that says all is well
 * does not count; one that says it is not, does.
 */
final class UnseenChanges
{
    /** How the control stands. */
    public const STANDS = 'stands';

    /** A lock, which turns what it locks. */
    public const LOCKED = 'locked';

    /** How fast a governor lets it go. */
    public const SPEED = 'speed';

    /** A cover or a guard came off. */
    public const OPEN = 'open';

    /** @var array<string, list<array{int, Person}>> by what was done: where in the log, and by whom */
    private array $done = [];

    /** @var list<array{Entry, Person}> */
    private array $overtaken = [];

    public function __construct(private readonly Log $log) {}

    public function note(string $what, Entry $by): void
    {
        $this->done[$what][] = [$this->log->places[$by->stamp->id], $by->stamp->by];
    }

    /**
     * Who else did one of these that this entry's author had not seen; null where nobody did, or what they had seen is
     * not on file.
     */
    public function before(Entry $entry, string ...$what): ?Person
    {
        $seen = $this->log->places[$entry->stamp->after ?? ''] ?? null;
        $here = $this->log->places[$entry->stamp->id];
        if ($seen === null || $seen === $here - 1) {
            return null;
        }
        foreach ($what as $one) {
            foreach ($this->done[$one] ?? [] as [$place, $by]) {
                if ($place > $seen && $place < $here && ! $by->is($entry->stamp->by)) {
                    return $by;
                }
            }
        }

        return null;
    }

    /** Whether somebody else did one of these that this entry's author had not seen, so that it does not count. */
    public function overtook(Entry $entry, string ...$what): bool
    {
        $by = $this->before($entry, ...$what);
        if ($by !== null) {
            $this->overtaken[] = [$entry, $by];
        }

        return $by !== null;
    }

    /** @return list<array{Entry, Person}> what does not count, and who did what its author had not seen */
    public function overtaken(): array
    {
        return $this->overtaken;
    }
}
