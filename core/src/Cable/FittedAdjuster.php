<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Quantity\Steps;

/**
 * What is the same of every adjuster on a run: its name, how far it goes, what it takes to reach it, and what holds it.
 */
abstract readonly class FittedAdjuster implements Adjuster
{
    protected function __construct(private Fitting $fitting, private StepRange $travel, private StepRange $healthy) {}

    final public function id(): string
    {
        return $this->fitting->id;
    }

    final public function name(): string
    {
        return $this->fitting->name;
    }

    final public function kind(): AdjusterKind
    {
        return $this->fitting->kind;
    }

    final public function sense(): Sense
    {
        return $this->fitting->sense;
    }

    final public function ways(): Ways
    {
        return $this->fitting->ways ?? $this->fitting->kind->ways();
    }

    final public function travel(): StepRange
    {
        return $this->travel;
    }

    final public function healthy(): StepRange
    {
        return $this->healthy;
    }

    final public function smallestStep(): Steps
    {
        return $this->fitting->smallestStep;
    }

    final public function access(): AdjusterAccess
    {
        return $this->fitting->access;
    }

    final public function lock(): string
    {
        return $this->fitting->lock;
    }

    final public function lockTorqueNm(): ?float
    {
        return $this->fitting->lockTorqueNm;
    }
}
