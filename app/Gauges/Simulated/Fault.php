<?php

declare(strict_types=1);

namespace App\Gauges\Simulated;

/** What can be wrong with a gauge or its wire. */
enum Fault: string
{
    case None = 'none';
    /** The press sends nothing. */
    case Dropout = 'dropout';
    /** Half a line, without its end. */
    case Half = 'half';
    case Garbage = 'garbage';
    /** It was switched to the other unit. */
    case OtherUnit = 'unit';
    case LowBattery = 'low';
}
