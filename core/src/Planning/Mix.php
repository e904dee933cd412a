<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

/** One stretch of each adjuster, and what any plan among them costs. */
final readonly class Mix
{
    /** @param  list<Stretch>  $stretches */
    public function __construct(public array $stretches, public PlanCost $cost) {}

    /**
     * @param  list<string>  $ids  of the adjusters, in the order of the stretches
     * @return list<string> those it turns
     */
    public function touches(array $ids): array
    {
        return array_values(array_filter($ids, fn (int $place): bool => $this->stretches[$place]->touched === 1, ARRAY_FILTER_USE_KEY));
    }
}
