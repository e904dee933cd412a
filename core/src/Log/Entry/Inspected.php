<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Finding;
use VividPull\Core\Log\Stamp;

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
