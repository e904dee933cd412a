<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\Run;
use VividPull\Core\Procedure\Inspection;
use VividPull\Core\Procedure\Proof;
use VividPull\Core\Procedure\Symptom;

/** What a spec takes from the family of its control. */
interface SpecFamily
{
    public function key(): FamilyKey;

    /** What the hand or foot moves, as its people call it. */
    public function moved(): string;

    /**
     * Whether what it works goes on for as long as it is held, and no longer: a grip, a drive handle, a bail. One that
     * does not come back by itself goes on without a hand.
     */
    public function worksWhileHeld(): bool;

    /** @return list<Symptom> what people tell of it, in the words they use */
    public function symptoms(): array;

    /** Whether heat changes its play so much that cold or hot is written down even where its book is silent. */
    public function movesWithHeat(): bool;

    /**
     * @return list<Pose> the poses in which it is always read and proved, whatever its spec says; empty where the spec
     *     decides
     */
    public function poses(): array;

    /** @return list<Inspection> what is looked over before anything is measured */
    public function lookOver(): array;

    /** @return list<Proof> what is tried before the job may end; some of it depends on what is fitted */
    public function proofs(Run $run): array;
}
