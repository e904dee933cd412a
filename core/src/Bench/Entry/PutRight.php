<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\Cure;
use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;

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
