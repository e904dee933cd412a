<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Quantity\Steps;

/** One place where a run is set. Out is the positive way; positions count out from fully in, or from the first step. */
interface Adjuster
{
    public function id(): string;

    public function name(): string;

    public function kind(): AdjusterKind;

    public function counting(): Counting;

    public function ways(): Ways;

    public function travel(): StepRange;

    public function healthy(): StepRange;

    /** The positions that advice may bring it to: with the thread engaged that must be. */
    public function safe(): StepRange;

    public function smallestStep(): Steps;

    public function access(): AdjusterAccess;

    public function sense(): Sense;

    /** What holds it: a lock nut, a lock ring, a bolt. */
    public function lock(): string;

    /** N·m for that, where the part's maker gives it. */
    public function lockTorqueNm(): ?float;

    /** How well the conduit moved by one step is known; null for a thread, whose pitch is its name. */
    public function stepKnowledge(): ?Knowledge;

    /** Conduit moved by these steps, in mm: above zero gives slack, below zero takes it away. */
    public function slackGiven(Steps $steps): float;

    /** How far out a position is, in mm of thread, slot or wire. */
    public function showing(Steps $position): float;

    /** A position as it is said: `3.1 mm out`, `rung 4`, `hole 2`. */
    public function where(Steps $position): string;

    /** Room for so many more steps, as it is said: `6.9 mm of thread`, `3 rungs`. */
    public function room(Steps $steps): string;

    /** The least room that should stay in the direction this control drifts, where its drift is not known. */
    public function usualReserve(): Steps;

    /** The move as it is said at the bench: `out 1 turn and 2 flats`, `2 rungs towards the engine`. */
    public function say(Steps $steps): string;
}
