<?php

declare(strict_types=1);

namespace VividPull\Core\Family;

/** Which way wear takes the play of a family, so long as the control's own drift says nothing else. */
enum Drift: string
{
    case ShrinksPlay = 'shrinks_play';
    case GrowsPlay = 'grows_play';
}
