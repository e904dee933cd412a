<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Control;
use App\Models\Machine;

/**
 * The day and the use at which a control falls due, written beside it for the lists; rebuildable from the log and the
 * meter.
 */
final readonly class NextLook
{
    public static function refresh(Control $control): void
    {
        $next = ControlStory::of($control, ControlPast::of($control))->next;
        if ($next === null) {
            return;
        }
        $decides = $next->decides;
        $usage = $decides->usage === null ? null : (int) round($decides->usage);
        $today = ShopClock::today();
        $isReached = $usage !== null
            && $control->machine->usage() >= $usage
            && ($decides->day === null || $decides->day > $today);
        $control->forceFill([
            'due_on' => $isReached ? $today : $decides->day,
            'due_usage' => $usage,
            'due_why' => $decides->why->label(),
        ])->save();
    }

    /** After the meter was read, all of its controls are asked again. */
    public static function refreshAll(Machine $machine): void
    {
        foreach (Control::query()->with([
            'machine',
            'specVersion',
        ])->where('machine_id', $machine->id)->whereNotNull('summary')->get() as $control) {
            self::refresh($control);
        }
    }
}
