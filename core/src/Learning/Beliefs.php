<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Cable\CouplingRatio;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\LockCreep;
use VividPull\Core\Cable\RatioPrior;
use VividPull\Core\Facts\ReadingGroup;

/** What the readings of a job taught, and which of them could not be believed. */
final readonly class Beliefs
{
    /**
     * @param  list<array{group: ReadingGroup, surprise: Surprise}>  $surprises
     * @param  list<float>  $astray  the last readings, one after the other, that could not be believed after a move:
     *     how much of what was to come has come, below zero where it went the other way
     */
    public function __construct(
        public TaughtPlay $play,
        public array $surprises,
        public int $groupsUsed,
        public LockCreep $creep,
        public array $astray = [],
    ) {}

    /** Where no play is read nothing is taught. */
    public static function ofNoPlay(LockCreep $creep): self
    {
        $nothing = RatioPrior::fromCoupling(CouplingRatio::of(1.0, Knowledge::Default));

        return new self(TaughtPlay::startingFrom($nothing, 0.0), [], 0, $creep);
    }

    /** Whether the reading at this setting could not be believed. */
    public function isSurprisedAt(int $setting): bool
    {
        $last = $this->surprises[count($this->surprises) - 1] ?? null;

        return $last !== null && $last['group']->at->setting === $setting;
    }
}
