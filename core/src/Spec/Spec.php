<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

use VividPull\Core\Family\FamilyKey;
use VividPull\Core\Measurement\DecisionRule;

/** What one control of one machine model is judged by: one version, never changed once a job has used it. */
final readonly class Spec
{
    private function __construct(
        public FamilyKey $family,
        public FreePlayBand $aim,
        public Conditions $conditions,
        public Policy $policy,
        public DecisionRule $rule,
        public SpecSource $source,
    ) {}

    public static function of(
        FamilyKey $family,
        FreePlayBand $aim,
        Conditions $conditions,
        Policy $policy,
        DecisionRule $rule,
        SpecSource $source,
    ): self {
        return new self($family, $aim, $conditions, $policy, $rule, $source);
    }
}
