<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Quantity\Turns;

/** One place where the slack of a run is set. Out is the positive way; positions count out from fully in. */
interface Adjuster
{
    public function id(): string;

    public function name(): string;

    public function kind(): AdjusterKind;

    public function travel(): TurnRange;

    public function healthy(): TurnRange;

    public function smallestStep(): Turns;

    public function access(): AdjusterAccess;

    public function sense(): Sense;

    /** Conduit moved by these steps, in mm: above zero gives slack, below zero takes it away. */
    public function slackGiven(Turns $steps): float;

    /** Thread that shows at a position, in mm. */
    public function threadShowing(Turns $position): float;

    /** The position at which this much thread shows, to the nearest countable step. */
    public function positionShowing(float $mm): Turns;

    /** The move as it is said at the bench: `out 1 turn and 2 flats`. */
    public function say(Turns $steps): string;
}
