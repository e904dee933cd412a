<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;
use VividPull\Core\Quantity\Steps;

/** An adjuster was turned; out is positive, and null is an amount nobody counted. */
final readonly class Moved extends Entry
{
    public function __construct(Stamp $stamp, public string $adjuster, public ?Steps $steps)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Move;
    }
}
