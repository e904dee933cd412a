<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/** One way of a trace, pulling or letting back: the points as they were measured, in the order in which they came. */
final readonly class Branch
{
    /**
     * @param  non-empty-list<float>  $travel  in mm
     * @param  non-empty-list<float>  $force  in N, as many
     */
    public function __construct(public array $travel, public array $force) {}

    public function count(): int
    {
        return count($this->travel);
    }

    /** How far it goes, in mm. */
    public function reach(): float
    {
        return max($this->travel) - min($this->travel);
    }
}
