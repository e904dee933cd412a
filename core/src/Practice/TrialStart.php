<?php

declare(strict_types=1);

namespace VividPull\Core\Practice;

/** How a machine that is to be tried is found. */
enum TrialStart: string
{
    /** 0.1 to 3 bands outside, on either side, with play to read. */
    case Outside = 'outside';

    /** Taut, by up to two bands' worth beyond zero. */
    case Taut = 'taut';

    /** 0.1 to 3 bands outside, its ratio two fifths more or less than its drawing says. */
    case MisDrawn = 'misdrawn';
}
