<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Errors\OutOfRange;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Quantity\Steps;
use VividPull\Core\Quantity\StepUnit;

/**
 * A cam screw, rung clamp, slotted bracket, pinch clamp or row of hook holes: an adjuster whose step is no thread's
 * pitch. What a step moves is written down as well as it is known, and the machine teaches the rest.
 */
final readonly class SteppedAdjuster extends FittedAdjuster
{
    private function __construct(
        Fitting $fitting,
        private float $mmPerStep,
        private Knowledge $knowledge,
        StepRange $travel,
        StepRange $healthy,
    ) {
        parent::__construct($fitting, $travel, $healthy);
    }

    /**
     * @param  float  $mmPerStep  conduit moved, or wire pulled, by one step
     * @param  StepRange|null  $healthy  null where the whole travel is
     *
     * @throws OutOfRange If a step moves nothing.
     */
    public static function of(
        Fitting $fitting,
        float $mmPerStep,
        Knowledge $knowledge,
        StepRange $travel,
        ?StepRange $healthy,
    ): self {
        if (! ($mmPerStep > 0.0)) {
            throw OutOfRange::positive('What one step moves, in mm,', $mmPerStep);
        }

        return new self($fitting, $mmPerStep, $knowledge, $travel, $healthy ?? $travel);
    }

    public function safe(): StepRange
    {
        return $this->travel();
    }

    public function counting(): Counting
    {
        return $this->kind()->unit() === StepUnit::Turn
            ? Counting::partTurns()
            : Counting::inSteps($this->kind()->unit());
    }

    public function stepKnowledge(): Knowledge
    {
        return $this->knowledge;
    }

    public function slackGiven(Steps $steps): float
    {
        return -$this->sense()->sign() * $this->mmPerStep * $steps->toFloat();
    }

    public function showing(Steps $position): float
    {
        return $this->mmPerStep * $position->toFloat();
    }

    public function where(Steps $position): string
    {
        return match ($this->kind()->unit()) {
            StepUnit::Rung, StepUnit::Hole,
            StepUnit::Tooth => $this->kind()->unit()->value.' '.Figure::number($position->toFloat()),
            StepUnit::Millimetre => Figure::shortLength($position->toFloat())
                .($this->kind() === AdjusterKind::PinchClamp ? ' pulled through' : ' along'),
            StepUnit::Turn, StepUnit::Click,
            StepUnit::Bevel => $this->counting()->say($position).' from its clockwise stop',
        };
    }

    public function room(Steps $steps): string
    {
        return $this->counting()->say($steps).match ($this->kind()) {
            AdjusterKind::SlottedBracket => ' of slot',
            AdjusterKind::PinchClamp => ' of wire',
            AdjusterKind::CamScrew => ' of cam',
            default => '',
        };
    }

    /** One step of what has few of them, three millimetres of what slides, a quarter turn of a cam (ours). */
    public function usualReserve(): Steps
    {
        return match ($this->kind()->unit()) {
            StepUnit::Millimetre => Steps::of(3),
            StepUnit::Turn => Steps::exactly(0.25),
            StepUnit::Rung, StepUnit::Hole, StepUnit::Tooth, StepUnit::Click, StepUnit::Bevel => Steps::of(1),
        };
    }

    public function say(Steps $steps): string
    {
        return $this->counting()->say($steps).($this->kind() === AdjusterKind::PinchClamp ? ' of wire' : '').' '
            .$this->ways()->of($steps);
    }
}
