<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

use VividPull\Core\Errors\OutOfRange;

/** One way of a trace, pulling or letting back: the points as they were measured, in the order in which they came. */
final readonly class Branch
{
    /**
     * @param  non-empty-list<float>  $travel  in mm
     * @param  non-empty-list<float>  $force  in N, as many
     */
    private function __construct(public array $travel, public array $force) {}

    /**
     * @param  array<int, float>  $travel
     * @param  array<int, float>  $force
     *
     * @throws OutOfRange If it has no point.
     */
    public static function of(array $travel, array $force): self
    {
        [$travel, $force] = [array_values($travel), array_values($force)];

        return $travel === [] || $force === [] ? throw OutOfRange::trace('There is no point in it.') : new self($travel, $force);
    }

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
