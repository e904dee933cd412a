<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Measurement\Conformity;
use VividPull\Core\Measurement\Spread;
use VividPull\Core\Measurement\VerdictKind;
use VividPull\Core\Spec\DecisionRule;
use VividPull\Core\Spec\SpecBand;

/** What a reading that was signed long ago would be called by another band. It changes nothing that was signed. */
final readonly class Rejudged
{
    private function __construct(public VerdictKind $kind, public float $chance) {}

    /** @param  float  $standard  standard uncertainty in mm */
    public static function by(
        SpecBand $band,
        DecisionRule $rule,
        float $mean,
        float $standard,
        float $freedom = INF,
    ): self {
        $chance = Conformity::chanceInside($mean, Spread::of($standard, $freedom), $band);

        return new self($mean <= 0.0 ? VerdictKind::Taut : Conformity::decide($mean, $chance, $band, $rule), $chance);
    }
}
