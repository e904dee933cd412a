<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Procedure\ReplacementReason;

/** One step of replacing the cable; the first gives the reason. */
final readonly class ReplacementStep extends Entry
{
    public function __construct(
        Stamp $stamp,
        public string $key,
        public ?ReplacementReason $reason,
        public ?string $remark,
        /** Which cable, where the control has several; said with the reason. */
        public ?string $cable = null,
        /** Whether the machine has what the step is about; where not, it is passed. */
        public bool $isHere = true,
    ) {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Replacing;
    }
}
