<?php

declare(strict_types=1);

namespace VividPull\Core\Progress;

/** How an item is settled: by one of its answers, or in a way of its own. */
enum ItemKind: string
{
    case Answer = 'answer';
    case Thread = 'thread';
    case Reading = 'reading';
    case Measure = 'measure';
    /** Old and new cable are laid side by side. */
    case Compare = 'compare';
    /** A picture is taken, or what it would show is written down. */
    case Photo = 'photo';
    case InBand = 'in_band';
    case SignOff = 'sign_off';
}
