<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\Adjuster;
use VividPull\Core\Quantity\Turns;

/** The first move of a taut cable: slack must be given before any reading can teach. */
final readonly class Slackening
{
    /** @param  float  $slack  mm of conduit to give */
    public static function with(Adjuster $adjuster, ?Turns $at, float $slack): AdjusterAdvice
    {
        $step = $adjuster->smallestStep()->count;
        $way = $adjuster->slackGiven(Turns::of(1)) > 0 ? 1 : -1;
        $each = abs($adjuster->slackGiven(Turns::fromCount($step)));
        $wanted = max(1, (int) round($slack / $each)) * $step;
        $room = $at === null ? Turns::PER_TURN : ($way > 0 ? $adjuster->travel()->to->count - $at->count : $at->count);
        $count = min($wanted, intdiv($room, $step) * $step);
        if ($count <= 0) {
            return AdjusterAdvice::outOfThread($adjuster->id(), 0.0, "{$adjuster->name()}: no thread left to give slack with.");
        }
        $steps = Turns::fromCount($way * $count);
        $after = $at?->plus($steps);

        return AdjusterAdvice::giveSlack(
            $adjuster->id(),
            $steps,
            ThreadLeft::after($adjuster, $after, $steps),
            $after === null || $adjuster->healthy()->contains($after),
            "{$adjuster->name()}, {$adjuster->say($steps)}: give slack first, then read. A taut cable says nothing about how taut it is.",
        );
    }
}
