<?php

declare(strict_types=1);

namespace VividPull\Core\Log;

/** How a job may end. */
enum ClosingOutcome: string
{
    case Fit = 'fit';
    case ByChoice = 'by_choice';
    case Tagged = 'tagged';
    /** Play was read and is inside its band; nothing else was looked at. It says nothing of fit for use. */
    case Checked = 'checked';
}
