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

        return $travel === [] || $force === []
            ? throw OutOfRange::trace('There is no point in it.')
            : new self($travel, $force);
    }

    /** Its travel, which is time, turned into travel that goes evenly from one place to the other; in mm. */
    public function evenly(float $from, float $to): self
    {
        [$begins, $lasts] = [min($this->travel), $this->reach()];

        return self::of(
            array_map(static fn (float $at): float => $from + ($to - $from) * ($at - $begins) / $lasts, $this->travel),
            $this->force,
        );
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
