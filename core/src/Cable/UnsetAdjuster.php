<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Quantity\Steps;

/**
 * What no plan of play turns: a push-rod screw, an arm on its spline, a sprung self-adjuster, or the plain fact that there
 * is no adjuster. The guided ones are set in their own order of steps, and what was compared before starts anew.
 */
final readonly class UnsetAdjuster implements Adjuster
{
    private function __construct(
        private string $id,
        private string $name,
        private AdjusterKind $kind,
        private AdjusterAccess $access,
        private string $lock,
        private ?float $lockTorqueNm,
    ) {}

    public static function of(string $id, string $name, AdjusterKind $kind, AdjusterAccess $access, string $lock, ?float $lockTorqueNm): self
    {
        return new self($id, $name, $kind, $access, $lock, $lockTorqueNm);
    }

    public function id(): string
    {
        return $this->id;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function kind(): AdjusterKind
    {
        return $this->kind;
    }

    public function counting(): Counting
    {
        return Counting::inSteps($this->kind->unit());
    }

    public function travel(): StepRange
    {
        return StepRange::between(Steps::none(), Steps::none());
    }

    public function healthy(): StepRange
    {
        return $this->travel();
    }

    public function smallestStep(): Steps
    {
        return Steps::of(1);
    }

    public function access(): AdjusterAccess
    {
        return $this->access;
    }

    public function sense(): Sense
    {
        return $this->kind->usualSense();
    }

    public function lock(): string
    {
        return $this->lock;
    }

    public function lockTorqueNm(): ?float
    {
        return $this->lockTorqueNm;
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
        return $this->counting()->say($steps).' '.($steps->count < 0 ? $this->kind->inward() : $this->kind->outward());
    }
}
