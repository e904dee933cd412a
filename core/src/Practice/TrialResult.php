<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** How one trial went, judged by the machine's true play. */
final readonly class TrialResult
{
    /**
     * @param  list<bool>  $foretold  of each move: whether the reading after it fell in the range foretold
     * @param  list<float>  $widths  of those ranges, in mm
     */
    public function __construct(
        public int $moves,
        /** Whether the true play ended inside the band. */
        public bool $inside,
        /** Whether the bench said so. */
        public bool $saidInside,
        /** Moves the other way than the one before. */
        public int $reversals,
        /** Whether the first move passed the far edge. */
        public bool $overshot,
        public array $foretold,
        public array $widths,
        /** Whether one who knew the machine could have set it with one move of whole flats. */
        public bool $knowing,
    ) {}
}
