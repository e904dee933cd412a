<?php

declare(strict_types=1);

namespace VividPull\Core\Spec;

/** As what the settings of a control are drawn: a wheel on its disc, an arm over notches, or a range each. */
enum TableDrawing: string
{
    case Disc = 'disc';
    case Notches = 'notches';
    case Lanes = 'lanes';
}
