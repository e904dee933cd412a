<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Log\ThreadState;
use VividPull\Core\Quantity\Steps;

/**
 * Where an adjuster stands, as measured: its position out from fully in; null where nobody could count it, and then
 * why.
 */
final readonly class ThreadNoted extends Entry
{
    public function __construct(
        Stamp $stamp,
        public string $adjuster,
        public ?Steps $position,
        public ThreadState $state = ThreadState::Measured,
    ) {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Thread;
    }
}
