<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Cable\LockCreep;
use VividPull\Core\Facts\ReadingGroup;

/** What the readings of a job taught, and which of them could not be believed. */
final readonly class Beliefs
{
    /** @param  list<array{group: ReadingGroup, surprise: Surprise}>  $surprises */
    public function __construct(
        public TaughtPlay $play,
        public array $surprises,
        public int $groupsUsed,
        public LockCreep $creep,
    ) {}
}
