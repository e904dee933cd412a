<?php

declare(strict_types=1);

namespace VividPull\Core\Bench\Entry;

use VividPull\Core\Bench\EntryKind;
use VividPull\Core\Bench\Stamp;
use VividPull\Core\Cable\Pose;

/** An answer to one proof, in one pose where the proof has poses. */
final readonly class Checked extends Entry
{
    public function __construct(Stamp $stamp, public string $key, public ?Pose $pose, public string $answer, public ?string $remark = null)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Check;
    }
}
