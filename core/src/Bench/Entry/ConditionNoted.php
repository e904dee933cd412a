<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;
use VividPull\Core\Spec\EngineHeat;
use VividPull\Core\Spec\Wheels;

/** The state of the machine from here on; it prefills the readings that follow. */
final readonly class ConditionNoted extends Entry
{
    public function __construct(Stamp $stamp, public EngineHeat $engine, public Wheels $wheels)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Condition;
    }
}
