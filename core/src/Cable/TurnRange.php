<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\Turns;

/** Positions from one to another, both included, counted out from fully in. */
final readonly class TurnRange
{
    private function __construct(public Turns $from, public Turns $to) {}

    /** @throws OutOfRange If the range runs backward. */
    public static function between(Turns $from, Turns $to): self
    {
        if ($to->count < $from->count) {
            throw OutOfRange::positive('The length of a range of turns', $to->minus($from)->toFloat());
        }

        return new self($from, $to);
    }

    public function contains(Turns $position): bool
    {
        return $position->count >= $this->from->count && $position->count <= $this->to->count;
    }
}
