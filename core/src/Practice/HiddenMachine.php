<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/**
 * A cable run as it truly is: a lever on its arc, a thread with lost motion, a wire that sticks, a lock that creeps,
 * and a hand that reads it off marks. It knows nothing of the bench that plans.
 */
final class HiddenMachine
{
    private const FLATS = 6;

    /** Slack in mm of conduit; below zero it is taut by that much. */
    private float $slack;

    private float $lostLeft = 0.0;

    private int $lastWay = 0;

    /**
     * @param  float  $play  true play at the reading point in mm; below zero it is taut by that much
     * @param  float  $pitch  mm of conduit a turn out takes away
     * @param  float  $toPoint  mm from the pivot to the reading point
     * @param  float  $toWire  mm from the pivot to the wire's anchor
     */
    public function __construct(
        float $play,
        private readonly float $pitch,
        private readonly float $toPoint,
        private readonly float $toWire,
        private readonly Physics $physics,
        private readonly Chance $chance,
    ) {
        $this->slack = $this->slackOf($play);
        // Nobody knows which way it was turned last.
        $this->lastWay = $physics->lostFlats > 0.0 ? ($chance->between(0.0, 1.0) < 0.5 ? -1 : 1) : 0;
    }

    /** A turn that goes the other way than the last first takes up what the thread has lost. */
    public function turnOut(float $turns): void
    {
        $way = $turns <=> 0.0;
        if ($this->lastWay !== 0 && $way !== $this->lastWay && $this->physics->lostFlats > 0.0) {
            $this->lostLeft = $this->physics->lostFlats / self::FLATS - $this->lostLeft;
        }
        $lost = min(abs($turns), $this->lostLeft);
        $this->lostLeft -= $lost;
        $this->lastWay = $way;
        $this->slack -= $this->pitch * $way * (abs($turns) - $lost);
    }

    public function lock(): void
    {
        $flats = $this->physics->creepFlats + $this->physics->creepVaries * $this->chance->normal();
        $this->slack -= $this->pitch * $flats / self::FLATS;
    }

    /** What a person reads; a taut cable shows nothing. */
    public function read(): float
    {
        $marks = $this->physics->reader->resolution;
        $seen = max(0.0, $this->play() + $this->lastWay * $this->physics->stiction)
            + $this->physics->reader->noise * $this->slip();
        $read = max(0.0, round($seen / $marks) * $marks);
        if (
            $this->physics->reader->misread > 0.0
            && $this->chance->between(0.0, 1.0) < $this->physics->reader->misread
        ) {
            $read = $this->chance->between(0.0, 1.0) < 0.2
                ? $read * 10
                : max(0.0, $read + ($this->chance->between(0.0, 1.0) < 0.5 ? -1 : 1) * (10 * $marks + 5.0));
        }

        return $read;
    }

    /** True play in mm; below zero it is taut. */
    public function play(): float
    {
        if ($this->slack <= 0.0 || $this->physics->arc === 0.0) {
            return $this->slack * $this->toPoint / $this->toWire;
        }
        $sine = sin($this->physics->arc) + $this->slack / $this->toWire;

        return 2 * $this->toPoint * sin((asin(max(-1.0, min(1.0, $sine))) - $this->physics->arc) / 2);
    }

    private function slackOf(float $play): float
    {
        if ($play <= 0.0 || $this->physics->arc === 0.0) {
            return $play * $this->toWire / $this->toPoint;
        }
        $angle = 2 * asin(min(1.0, $play / (2 * $this->toPoint)));

        return $this->toWire * (sin($this->physics->arc + $angle) - sin($this->physics->arc));
    }

    private function slip(): float
    {
        if (! $this->physics->reader->heavyTails) {
            return $this->chance->normal();
        }
        $squares = $this->chance->normal() ** 2 + $this->chance->normal() ** 2 + $this->chance->normal() ** 2;

        return $this->chance->normal() / sqrt(max(1e-9, $squares / 3)) / sqrt(3);
    }
}
