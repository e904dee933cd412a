<?php

declare(strict_types=1);

namespace App\Bench;

/** How a control stands, at a glance: what matters most of it. */
enum ControlMark: string
{
    case Tagged = 'tagged';
    /** In work, and not to be run: by what its open job found, or by what is being looked into. */
    case InWorkStopped = 'in_work_stopped';
    case InWork = 'in_work';
    /** By what was reported of it, or is being looked into, not to be run. */
    case Reported = 'reported';
    /** Left outside its band by choice, or with a fault. */
    case LeftOpen = 'left_open';
    case Fit = 'fit';
    case Checked = 'checked';
    case Never = 'never';
}
