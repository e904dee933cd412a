<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** An answer to one proof, in one pose where the proof has poses. */
final readonly class Checked extends Entry
{
    public function __construct(
        Stamp $stamp,
        public string $key,
        public ?Pose $pose,
        public string $answer,
        public ?string $remark = null,
    ) {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Check;
    }
}
