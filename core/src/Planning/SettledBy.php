<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

/** What would settle what the bench suspects: something put right, as its cure is called, or one measurement. */
enum SettledBy: string
{
    case Route = 'route';
    case Oiled = 'oiled';
    /** The distances of the hand control, measured. */
    case Hand = 'hand';
    /** Play, read with a finer instrument: nothing of the machine is suspected. */
    case Finer = 'finer';
}
