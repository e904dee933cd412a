<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Quantity\Turns;

/** Thread left in the direction of a move, in mm; null where the position is unknown, for then none is claimed. */
final readonly class ThreadLeft
{
    public static function after(Adjuster $adjuster, ?Turns $position, Turns $steps): ?float
    {
        return match (true) {
            $position === null => null,
            $steps->count < 0 => $adjuster->threadShowing($position),
            default => $adjuster->threadShowing($adjuster->travel()->to->minus($position)),
        };
    }
}
