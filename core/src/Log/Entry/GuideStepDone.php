<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/** One step of a guided sequence was done; the remark keeps what was counted, such as a back-off of half a turn. */
final readonly class GuideStepDone extends Entry
{
    public function __construct(Stamp $stamp, public string $adjuster, public string $key, public ?string $remark)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Step;
    }
}
