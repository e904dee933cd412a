<?php

declare(strict_types=1);

namespace VividPull\Core\Cable;

use VividPull\Core\Quantity\Steps;

/** What is the same of every adjuster on a run: its name, how far it goes, what it takes to reach it, and what holds it. */
abstract readonly class FittedAdjuster implements Adjuster
{
    protected function __construct(
        private string $id,
        private string $name,
        private AdjusterKind $kind,
        private Sense $sense,
        private StepRange $travel,
        private StepRange $healthy,
        private Steps $smallestStep,
        private AdjusterAccess $access,
        private string $lock,
        private ?float $lockTorqueNm,
    ) {}

    final public function id(): string
    {
        return $this->id;
    }

    final public function name(): string
    {
        return $this->name;
    }

    final public function kind(): AdjusterKind
    {
        return $this->kind;
    }

    final public function sense(): Sense
    {
        return $this->sense;
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
        return $this->smallestStep;
    }

    final public function access(): AdjusterAccess
    {
        return $this->access;
    }

    final public function lock(): string
    {
        return $this->lock;
    }

    final public function lockTorqueNm(): ?float
    {
        return $this->lockTorqueNm;
    }
}
