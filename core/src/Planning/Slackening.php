<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Cable\StepRange;
use VividPull\Core\Quantity\Steps;

/** The first move of a taut cable: slack must be given before any reading can teach. */
final readonly class Slackening
{
    /**
     * @param  StepRange  $room  how far it may be moved either way
     * @param  float  $slack  mm of conduit to give
     */
    public static function with(Adjuster $adjuster, ?Steps $at, StepRange $room, float $slack): AdjusterAdvice
    {
        $step = $adjuster->smallestStep()->count;
        $way = $adjuster->slackGiven(Steps::of(1)) > 0 ? 1 : -1;
        $each = abs($adjuster->slackGiven(Steps::fromCount($step)));
        $wanted = max(1, (int) round($slack / $each)) * $step;
        $left = $way > 0 ? $room->to->count : -$room->from->count;
        // Of one that nobody saw, one turn at a time.
        $left = $at === null ? min($left, Steps::PER_TURN) : $left;
        $count = min($wanted, intdiv($left, $step) * $step);

        return $count <= 0
            ? AdjusterAdvice::outOfThread(
                $adjuster->id(),
                0.0,
                "{$adjuster->name()}: no thread left to give slack with.",
            )
            : AdjusterAdvice::giveSlack($adjuster, $at, Steps::fromCount($way * $count));
    }
}
