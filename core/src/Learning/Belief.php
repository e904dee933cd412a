<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

/** What is believed about the outcome of a control at its reading point, and how a shift would change it. */
interface Belief
{
    /** The belief after the conduit gave this much more slack, in mm. */
    public function after(float $slackGiven): self;

    /** The belief after a reading group, or the surprise that it cannot have come from this state. */
    public function given(float $mean, float $standard): self|Surprise;

    /** Whether any reading has placed it yet. */
    public function isPlaced(): bool;

    /**
     * P(low ≤ outcome ≤ high) after a further shift of slack.
     *
     * @param  float  $noise  standard uncertainty of a reading to come, in mm; 0 for the outcome itself
     */
    public function chanceBetween(float $low, float $high, float $shift, float $noise): float;

    /** The expected outcome after a further shift of slack, in mm. */
    public function expected(float $shift): float;

    /** @return array{float, float} the central range that holds this share of the outcomes, in mm */
    public function range(float $coverage, float $shift, float $noise): array;
}
