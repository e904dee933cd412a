<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

use VividPull\Core\Measurement\Repeated;
use VividPull\Core\Procedure\Measure;
use VividPull\Core\Spec\SpecBand;

/** One thing that is measured beside the play: what was read since the last change, and what it says. */
final readonly class MeasureState
{
    /** @param  list<float>  $values  since the last change, in the internal unit */
    public function __construct(
        public Measure $measure,
        public array $values,
        public ?Repeated $found,
        public ?SpecBand $limit,
        public Verdict $verdict,
        /** What the figure means, where that is not plain. */
        public ?string $note,
        /** Before anything was changed, where it was measured then. */
        public ?Repeated $before,
        /** What was found times this is judged; above one where the same setting gives more than was measured. */
        public float $factor,
    ) {}

    /** Whether it is told to be outside, and is put right by hand: no adjuster is the cure of it. */
    public function isToBePutRight(): bool
    {
        return $this->verdict->kind->isOutside() && $this->measure->suspects !== [];
    }

    public function isWhole(): bool
    {
        return count($this->values) >= $this->measure->runs;
    }
}
