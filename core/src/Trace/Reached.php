<?php

declare(strict_types=1);

namespace VividPull\Core\Trace;

/** Whether a pull came to what its cable works against, or felt its return spring alone. */
enum Reached: string
{
    case Yes = 'yes';
    case ReturnOnly = 'return_only';
    case CannotTell = 'cannot_tell';
}
