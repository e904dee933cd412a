<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Log\Entry\Entry;

/** A job that was worked to its end. */
final readonly class WorkedJob
{
    /**
     * @param  list<string>  $asked  what was asked last
     * @param  list<Act|Entry>  $deeds  what was done to the machine and written down, in order
     */
    public function __construct(
        public JobEnd $end,
        /** What stands in the way, where it is not fit. */
        public string $why,
        public int $entries,
        public int $moves,
        public array $asked,
        public BenchState $state,
        public array $deeds,
    ) {}
}
