<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;
use VividPull\Core\Log\Standing;

/** The job begins: everything from history that it will be judged with is frozen here. */
final readonly class Opened extends Entry
{
    /** @param  bool  $isCheck  whether only its play is to be read, as long as nothing is wrong */
    public function __construct(
        Stamp $stamp,
        public string $control,
        public Standing $standing,
        public bool $isCheck = false,
    ) {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Opened;
    }
}
