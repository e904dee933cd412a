<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\ThreadPitch;

/** A barrel, in-line adjuster, hollow bolt or pair of nuts: a thread that moves the conduit's end. */
final readonly class ThreadedAdjuster extends FittedAdjuster
{
    /**
     * Two thirds out it wobbles and snaps (common practice, no source): further than that no advice goes, a diameter
     * engaged or not.
     */
    private const FARTHEST_OUT = 2 / 3;

    private function __construct(
        Fitting $fitting,
        public ThreadPitch $pitch,
        StepRange $travel,
        StepRange $healthy,
        private Counting $counting,
        private StepRange $safe,
    ) {
        parent::__construct($fitting, $travel, $healthy);
    }

    /**
     * @param  float  $travelMm  thread from fully in to the last position that still holds
     * @param  StepRange|null  $healthy  null for the default: at most half out
     * @param  Counting|null  $counting  null for turns and flats
     * @param  float|null  $engagedMm  of its travel, the thread that must stay engaged; null for one diameter, or a
     *     third of the travel where that is less
     * @param  float  $staysMm  thread that must go on showing, such as under a governor's nut; 0 where it may go fully
     *     in
     *
     * @throws OutOfRange If the travel is not above zero.
     */
    public static function of(
        Fitting $fitting,
        ThreadPitch $pitch,
        float $travelMm,
        ?StepRange $healthy,
        ?Counting $counting = null,
        float $staysMm = 0.0,
        ?float $engagedMm = null,
    ): self {
        if (! ($travelMm > 0.0)) {
            throw OutOfRange::positive('An adjuster\'s travel, in mm,', $travelMm);
        }
        $stays = Steps::fromCount((int) ceil($staysMm / $pitch->mm * Steps::PER_TURN - 1e-6));
        $travel = StepRange::between(
            $stays,
            Steps::fromCount((int) floor($travelMm / $pitch->mm * Steps::PER_TURN + 1e-6)),
        );
        $setsPlay = $fitting->kind->sets() === AdjustedQuantity::Play;
        $half = $setsPlay ? StepRange::between($stays, Steps::fromCount(intdiv($travel->to->count, 2))) : $travel;

        return new self($fitting, $pitch, $travel, $healthy ?? $half, $counting ?? Counting::turns(),
            $setsPlay ? self::engaged($travel, $pitch, $travelMm, $engagedMm) : $travel);
    }

    private static function engaged(
        StepRange $travel,
        ThreadPitch $pitch,
        float $travelMm,
        ?float $engagedMm,
    ): StepRange {
        $most = $travelMm - ($engagedMm ?? min($pitch->diameterMm ?? INF, (1 - self::FARTHEST_OUT) * $travelMm));

        return StepRange::between(
            $travel->from,
            Steps::fromCount(max(
                $travel->from->count,
                min($travel->to->count, (int) floor($most / $pitch->mm * Steps::PER_TURN + 1e-6)),
            )),
        );
    }

    public function safe(): StepRange
    {
        return $this->safe;
    }

    public function counting(): Counting
    {
        return $this->counting;
    }

    public function stepKnowledge(): ?Knowledge
    {
        return null;
    }

    /** A governor's nut sets a speed and moves no conduit. */
    public function slackGiven(Steps $steps): float
    {
        return $this->kind()->sets() === AdjustedQuantity::Play
            ? -$this->sense()->sign() * $this->pitch->mm * $steps->toFloat()
            : 0.0;
    }

    public function showing(Steps $position): float
    {
        return $this->pitch->mm * $position->toFloat();
    }

    /** The position at which this much thread shows, to the nearest countable step. */
    public function positionShowing(float $mm): Steps
    {
        return Steps::nearest($mm / $this->pitch->mm);
    }

    public function where(Steps $position): string
    {
        return Figure::length($this->showing($position)).' out';
    }

    public function room(Steps $steps): string
    {
        return Figure::length($this->showing($steps)).' of thread';
    }

    public function usualReserve(): Steps
    {
        return Steps::of(3);
    }

    public function say(Steps $steps): string
    {
        return $this->ways()->of($steps).' '.$this->counting->say($steps);
    }
}
