<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/** How a job may end. */
enum ClosingOutcome: string
{
    case Fit = 'fit';
    case ByChoice = 'by_choice';
    case Tagged = 'tagged';
}
