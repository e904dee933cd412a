<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\Cure;

/** Something other than an adjuster was put right: a route, a mount, a spring. Nothing tried before counts after it. */
final readonly class PutRight extends Entry
{
    public function __construct(Stamp $stamp, public Cure $cure, public ?string $remark)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::PutRight;
    }
}
