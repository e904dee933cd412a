<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Control;

use VividPull\Core\Bench\BenchState;

/** A job that was worked to its end. */
final readonly class WorkedJob
{
    /** @param  list<string>  $asked  what was asked last */
    public function __construct(
        public JobEnd $end,
        /** What stands in the way, where it is not fit. */
        public string $why,
        public int $entries,
        public int $moves,
        public array $asked,
        public BenchState $state,
    ) {}
}
