<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

/** How far each adjuster of a plan is brought, in whole steps of its own, with what the plan costs. */
final readonly class CandidatePlan
{
    /** @param  array<string, int>  $counts  720ths by adjuster; those not touched are left out */
    public function __construct(public array $counts, public float $shift, public PlanCost $cost) {}

    public function touchesLike(self $other): bool
    {
        return array_keys($this->counts) === array_keys($other->counts);
    }
}
