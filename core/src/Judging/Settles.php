<?php

declare(strict_types=1);

namespace VividPull\Core\Judging;

/** What would settle a verdict that can't be told. */
enum Settles: string
{
    case Answer = 'answer';
    case Readings = 'readings';
    case Instrument = 'instrument';
    /** Nothing that is on the shelf, however often it is read. */
    case Nothing = 'nothing';
}
