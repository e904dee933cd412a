<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;
use VividPull\Core\Spec\Policy;

/** Where in the band to aim from here on. */
final readonly class PolicyChosen extends Entry
{
    public function __construct(Stamp $stamp, public Policy $policy)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Policy;
    }
}
