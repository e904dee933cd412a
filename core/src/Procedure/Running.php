<?php

declare(strict_types=1);

namespace VividPull\Core\Procedure;

/** Whether something is tried with the engine running or the machine moving, and what must be back on before. */
enum Running: string
{
    /** Engine off, tried by hand. */
    case Still = 'still';

    /** It runs, with boots and inspection covers still off: a throttle is swept before they are closed. */
    case Open = 'open';

    /** It runs or moves: covers, guards, springs, belt, spark lead, floor and wheels are back first. */
    case Refitted = 'refitted';

    public function runs(): bool
    {
        return $this !== self::Still;
    }
}
