<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Quantity\Steps;

/** The first move of a taut cable: slack must be given before any reading can teach. */
final readonly class Slackening
{
    /** @param  float  $slack  mm of conduit to give */
    public static function with(Adjuster $adjuster, ?Steps $at, float $slack): AdjusterAdvice
    {
        $step = $adjuster->smallestStep()->count;
        $way = $adjuster->slackGiven(Steps::of(1)) > 0 ? 1 : -1;
        $each = abs($adjuster->slackGiven(Steps::fromCount($step)));
        $wanted = max(1, (int) round($slack / $each)) * $step;
        $reach = $at === null ? null : $adjuster->safe()->reaching($at);
        $room = match (true) {
            $at === null || $reach === null => Steps::PER_TURN,
            $way > 0 => $reach->to->count - $at->count,
            default => $at->count - $reach->from->count,
        };
        $count = min($wanted, intdiv($room, $step) * $step);

        return $count <= 0
            ? AdjusterAdvice::outOfThread(
                $adjuster->id(),
                0.0,
                "{$adjuster->name()}: no thread left to give slack with.",
            )
            : AdjusterAdvice::giveSlack($adjuster, $at, Steps::fromCount($way * $count));
    }
}
