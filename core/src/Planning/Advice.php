<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Run;
use VividPull\Core\Facts\Facts;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Learning\Beliefs;
use VividPull\Core\Learning\Learning;
use VividPull\Core\Spec\Spec;

/**
 * What was learned of one cable, and what is advised by that and by what stands now. Most steps of an answer do without
 * either, so each is worked out when it is first asked for; it is worked out once, and who asks again is told the same.
 */
final class Advice
{
    private const LOOKED_AT = 'It was looked at before, nothing was found, and it reads so again: replace the cable, or hang the tag.';

    /** A proof that fails is seen, and no figure that may be misread; what is behind it may be no cable. */
    private const FAILS_AGAIN = 'It was looked at before, nothing was found, and it fails again: have a second person look, or hang the tag.';

    /** No part is blamed for readings that are known so badly. */
    private const TOO_COARSE = 'It was looked at before, nothing was found, and readings so coarse tell no more: get a finer instrument, or hang the tag.';

    private ?Beliefs $beliefs = null;

    private ?PlanOutcome $outcome = null;

    public function __construct(
        private readonly Spec $spec,
        private readonly Run $run,
        private readonly Facts $facts,
        private readonly Judgement $judgement,
    ) {}

    public function beliefs(): Beliefs
    {
        return $this->beliefs ??= Learning::believe($this->spec, $this->run, $this->facts);
    }

    public function outcome(): PlanOutcome
    {
        return $this->outcome ??= $this->advised();
    }

    private function advised(): PlanOutcome
    {
        $advised = Planner::advise($this->spec, $this->run, $this->facts, $this->beliefs(), $this->judgement);
        if (
            ! $advised->isLookedFor()
            || $advised->settledBy === SettledBy::Hand
            || ! $this->facts->observations->isLookedAt()
        ) {
            return $advised;
        }
        $group = $this->judgement->nowGroup;

        return match (true) {
            $this->hasFailed() => $advised->lookedAt(self::FAILS_AGAIN),
            $group !== null && Suspicion::isCoarse($group, $this->spec->play()->band) => $advised->adding(
                self::TOO_COARSE,
            ),
            default => $advised->lookedAt(self::LOOKED_AT),
        };
    }

    /** Whether it is a proof that failed that something is looked for by. */
    private function hasFailed(): bool
    {
        return ProofEvidence::of($this->spec, $this->run, $this->facts)->failed !== [];
    }
}
