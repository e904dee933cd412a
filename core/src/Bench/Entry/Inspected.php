<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Finding;
use VividPull\Core\Bench\Stamp;

/** What was found when a part was looked over. */
final readonly class Inspected extends Entry
{
    public function __construct(Stamp $stamp, public string $key, public Finding $finding, public ?string $remark)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Inspected;
    }
}
