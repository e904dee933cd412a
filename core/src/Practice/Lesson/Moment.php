<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Bench\BenchState;
use VividPull\Core\Log\Entry\Entry;
use VividPull\Core\Practice\Control\Act;
use VividPull\Core\Practice\Control\TrueControl;

/** One thing that was done or written, with how the machine truly stood before and after it. */
final readonly class Moment
{
    public function __construct(
        /** RFC 3339. */
        public string $at,
        public Act|Entry $deed,
        /** The job before it. */
        public BenchState $job,
        public TrueControl $before,
        public TrueControl $after,
        public Seen $seen,
    ) {}
}
