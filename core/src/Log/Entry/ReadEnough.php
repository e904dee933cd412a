<?php

declare(strict_types=1);

namespace VividPull\Core\Log\Entry;

use VividPull\Core\Cable\Pose;
use VividPull\Core\Cable\ReadingPoint;
use VividPull\Core\Log\EntryKind;
use VividPull\Core\Log\Stamp;

/**
 * A person leaves a reading that can't be told from the edge of its band as it is: the instrument can say no more.
 * Until the next move.
 */
final readonly class ReadEnough extends Entry
{
    public function __construct(Stamp $stamp, public ReadingPoint $point, public Pose $pose)
    {
        parent::__construct($stamp);
    }

    public function kind(): EntryKind
    {
        return EntryKind::Enough;
    }

    public static function place(ReadingPoint $point, Pose $pose): string
    {
        return "{$point->value}/{$pose->value}";
    }
}
