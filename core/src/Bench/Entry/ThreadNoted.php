<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;
use VividPull\Core\Quantity\Steps;

/** The thread that shows at an adjuster, as measured: its position out from fully in; null where it cannot be seen. */
final readonly class ThreadNoted extends Entry
{
    public function __construct(Stamp $stamp, public string $adjuster, public ?Steps $position)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Thread;
    }
}
