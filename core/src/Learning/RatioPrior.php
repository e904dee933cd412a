<?php

declare(strict_types=1);

namespace VividPull\Core\Learning;

use VividPull\Core\Cable\CouplingRatio;

/** What is known about R before this stretch: ln R is normal with this mean and standard deviation. */
final readonly class RatioPrior
{
    private function __construct(public float $ln, public float $spread) {}

    public static function of(float $ln, float $spread): self
    {
        return new self($ln, $spread);
    }

    public static function fromCoupling(CouplingRatio $ratio): self
    {
        return new self(log($ratio->value), $ratio->knowledge->spread());
    }

    /** Where what one step of an adjuster moves is itself not known: the two add up as squares. */
    public function widenedBy(float $spread): self
    {
        return $spread === 0.0 ? $this : new self($this->ln, sqrt($this->spread ** 2 + $spread ** 2));
    }

    /** For the next job on the same control: k² + 0.05² a job, + 0.10² more after a part was fitted (ours). */
    public function forNextJob(bool $partFitted = false): self
    {
        return new self($this->ln, sqrt($this->spread ** 2 + 0.05 ** 2 + ($partFitted ? 0.10 ** 2 : 0.0)));
    }
}
