<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Cable\ReadingPoint;

/** Free play between two edges at one reading point. */
final readonly class FreePlayBand implements Aim
{
    private function __construct(public ReadingPoint $point, public SpecBand $band) {}

    public static function at(ReadingPoint $point, SpecBand $band): self
    {
        return new self($point, $band);
    }

    public function say(): string
    {
        return "{$this->band->say()} at the {$this->point->label()}";
    }
}
