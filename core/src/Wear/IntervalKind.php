<?php

declare(strict_types=1);

namespace VividPull\Core\Wear;

/** What an interval between two looks says of wear. */
enum IntervalKind: string
{
    /** Teaches the rate. */
    case Wear = 'wear';
    /** The first after a new part, which settles: kept apart. */
    case BeddingIn = 'bedding_in';
    /** Does not fit the others: no wear does that. */
    case Jump = 'jump';
    /** Read elsewhere or in another state, not read at all, or no use between: nothing to compare. */
    case NotComparable = 'not_comparable';
    /** Before a new part: what wore then is gone. */
    case Before = 'before';
}
