<?php

declare(strict_types=1);

namespace VividPull\Core\Facts;

/** What was read and turned, in order, and which of it compares. */
final readonly class ReadingFacts
{
    /**
     * @param  list<ReadingGroup>  $groups
     * @param  list<MoveMade>  $moves
     */
    public function __construct(
        public array $groups,
        public array $moves,
        /** Given by all moves, in mm. */
        public float $slack,
        /** Readings of one series compare; a part fitted or something put right begins another. */
        public int $series,
        public int $setting,
        /** The setting that the last move, or the last guided step, made; a lock makes a newer one. */
        public int $movedAt,
        /**
         * The setting that something else than a turn made last: put right, fitted, a cable replaced; 0 where nothing
         * was.
         */
        public int $changedAt,
        /** The series from which the ratio starts over, since a part of it is new; 0 where none is. */
        public int $ratioFrom,
        public bool $lastMoveCrossed,
        /** Whether anything was run since somebody last said how hot it is. */
        public bool $ranSince,
    ) {}

    /** Groups read before anything was moved. */
    public function asFound(): ?ReadingGroup
    {
        foreach ($this->groups as $group) {
            if ($group->at->moves === 0) {
                return $group;
            }
        }

        return null;
    }

    /** The first of those that compare with what is read now. */
    public function firstOfSeries(): ?ReadingGroup
    {
        foreach ($this->groups as $group) {
            if ($group->at->series === $this->series) {
                return $group;
            }
        }

        return null;
    }

    /** As it stands now: what was read next would be read so. */
    public function at(): ReadAt
    {
        return new ReadAt($this->slack, $this->series, $this->setting, count($this->moves), false);
    }

    /** Whether anything was changed since the job opened that what was found could no longer be read after. */
    public function isChanged(): bool
    {
        return $this->moves !== [] || $this->setting > 0;
    }
}
