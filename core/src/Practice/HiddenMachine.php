<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** A cable run as it truly is: one ratio, one thread, noise in every reading. It knows nothing of the bench that plans. */
final class HiddenMachine
{
    /**
     * @param  float  $play  true play at the reading point in mm; below zero it is taut by that much
     * @param  float  $perTurn  mm of play that one turn out takes away
     * @param  float  $noise  standard deviation of one reading in mm
     * @param  float  $resolution  of the instrument in mm
     */
    public function __construct(
        private float $play,
        private readonly float $perTurn,
        private readonly float $noise,
        private readonly float $resolution,
        private readonly Chance $chance,
    ) {}

    public function turnOut(float $turns): void
    {
        $this->play -= $this->perTurn * $turns;
    }

    /** What a person reads; a taut cable shows nothing. */
    public function read(): float
    {
        $seen = max(0.0, $this->play) + $this->noise * $this->chance->normal();

        return max(0.0, round($seen / $this->resolution) * $this->resolution);
    }

    public function play(): float
    {
        return $this->play;
    }
}
