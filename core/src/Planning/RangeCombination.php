<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

/** One range of each adjuster, and what any plan among them costs. */
final readonly class RangeCombination
{
    /** @param  list<EqualCostRange>  $ranges */
    public function __construct(public array $ranges, public PlanCost $cost) {}

    /**
     * @param  list<string>  $ids  of the adjusters, in the order of the ranges
     * @return list<string> those it turns
     */
    public function touches(array $ids): array
    {
        return array_values(array_filter(
            $ids,
            fn (int $place): bool => $this->ranges[$place]->touched === 1,
            ARRAY_FILTER_USE_KEY,
        ));
    }
}
