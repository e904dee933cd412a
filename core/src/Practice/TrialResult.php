<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** How one trial went. */
final readonly class TrialResult
{
    /**
     * @param  list<bool>  $foretold  of each move: whether the reading after it fell in the range foretold
     * @param  list<float>  $widths  of those ranges, in mm
     */
    public function __construct(
        public int $moves,
        public bool $inside,
        /** Whether the first move passed the far edge. */
        public bool $overshot,
        public array $foretold,
        public array $widths,
        /** Whether one who knew the machine could have set it with one move of whole flats. */
        public bool $knowing,
    ) {}
}
