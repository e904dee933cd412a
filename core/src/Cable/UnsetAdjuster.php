<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Quantity\Steps;

/**
 * What no plan of play turns: a push-rod screw, an arm on its spline, a sprung self-adjuster, or the plain fact that
 * there is no adjuster. The guided ones are set in their own order of steps, and what was compared before starts anew.
 */
final readonly class UnsetAdjuster extends FittedAdjuster
{
    public static function of(Fitting $fitting): self
    {
        $nowhere = StepRange::between(Steps::none(), Steps::none());

        return new self($fitting, $nowhere, $nowhere);
    }

    public function safe(): StepRange
    {
        return $this->travel();
    }

    public function counting(): Counting
    {
        return Counting::inSteps($this->kind()->unit());
    }

    public function stepKnowledge(): ?Knowledge
    {
        return null;
    }

    public function slackGiven(Steps $steps): float
    {
        return 0.0;
    }

    public function showing(Steps $position): float
    {
        return 0.0;
    }

    public function where(Steps $position): string
    {
        return 'set by its own steps';
    }

    public function room(Steps $steps): string
    {
        return 'nothing to turn';
    }

    public function usualReserve(): Steps
    {
        return Steps::none();
    }

    public function say(Steps $steps): string
    {
        return $this->counting()->say($steps).' '.$this->ways()->of($steps);
    }
}
