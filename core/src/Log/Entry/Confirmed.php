<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** A safety, lock or closing step was done; a lock nut names its adjuster. */
final readonly class Confirmed extends Entry
{
    public function __construct(Stamp $stamp, public string $key, public ?string $adjuster)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Confirmed;
    }
}
