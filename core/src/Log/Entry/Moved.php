<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
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
