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
        /** The play of the closing cable of a push-pull pair, read backward; null where there is one cable. */
        public ?FreePlayBand $backward,
        /** Whether the closing cable is set before the opening one. */
        public bool $closingFirst,
    ) {}

    public static function of(
        FamilyKey $family,
        FreePlayBand $aim,
        Conditions $conditions,
        Policy $policy,
        DecisionRule $rule,
        SpecSource $source,
        ?FreePlayBand $backward = null,
        bool $closingFirst = false,
    ): self {
        return new self($family, $aim, $conditions, $policy, $rule, $source, $backward, $closingFirst);
    }

    /** What the closing cable is judged by, as a spec of its own. */
    public function ofClosing(): ?self
    {
        return $this->backward === null ? null : new self($this->family, $this->backward, $this->conditions, $this->policy, $this->rule, $this->source, null, false);
    }
}
