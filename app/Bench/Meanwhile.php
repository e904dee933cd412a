<?php

declare(strict_types=1);

namespace App\Bench;

/** What happened beside a job since it began. */
final readonly class Meanwhile
{
    public function __construct(
        /** Whether its control hangs on another version of its spec by now. */
        public bool $isSpecChanged,
        /** Whether anything was tried in another job of the visit, running or not. */
        public bool $isTriedElsewhere,
    ) {}
}
