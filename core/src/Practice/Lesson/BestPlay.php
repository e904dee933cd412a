<?php

declare(strict_types=1);

namespace VividPull\Core\Practice\Lesson;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Practice\Control\TrueControl;
use VividPull\Core\Quantity\Steps;

/** The fewest moves that set a machine right, for one who sees how it truly is. */
final readonly class BestPlay
{
    /** Steps of an adjuster that are tried on its way, at most. */
    private const TRIED = 400;

    private const MOST_MOVES = 4;

    /**
     * Whether it comes to an end that can be learned: set right once its faults are, or tagged for what has to be
     * replaced.
     */
    public static function endsWell(Lesson $lesson): bool
    {
        $cured = FreeMachine::cured($lesson->control());

        return $cured->hasWhatIsReplaced() || self::moves($lesson, $cured) !== null;
    }

    /**
     * Null where nothing that turns reaches it. Its faults are left as they are.
     *
     * @param  float  $share  of a band's width that play has to keep from its edges
     */
    public static function moves(Lesson $lesson, TrueControl $control, float $share = 0.0): ?int
    {
        $control = clone $control;
        for ($moves = 0; $moves <= self::MOST_MOVES; $moves++) {
            $worst = self::off($control, $share);
            if ($worst < 1e-9) {
                return $moves;
            }
            $best = null;
            foreach ($lesson->run->adjusters() as $adjuster) {
                $moved = self::turned($control, $adjuster, $share);
                $best = $best === null || self::off($moved, $share) < self::off($best, $share) - 1e-9 ? $moved : $best;
            }
            if ($best === null || self::off($best, $share) > $worst - 1e-9) {
                return null;
            }
            $control = $best;
        }

        return null;
    }

    /** The control with this adjuster where it brings everything nearest. */
    private static function turned(TrueControl $control, Adjuster $adjuster, float $share): TrueControl
    {
        $least = $adjuster->smallestStep()->count;
        $way = $adjuster->safe();
        $at = Steps::nearest($control->stands($adjuster->id()))->count;
        $step = $least * max(1, (int) ceil(($way->to->count - $way->from->count) / $least / self::TRIED));
        $best = $control;
        for ($to = $way->from->count; $to <= $way->to->count; $to += $step) {
            $tried = clone $control;
            $tried->turn($adjuster->id(), Steps::fromCount($to - $at));
            $best = self::off($tried, $share) < self::off($best, $share) - 1e-9 ? $tried : $best;
        }

        return $best;
    }

    private static function off(TrueControl $control, float $share): float
    {
        return array_sum(array_map(abs(...), $control->errors($share)));
    }
}
