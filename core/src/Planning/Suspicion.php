<?php

declare(strict_types=1);

namespace VividPull\Core\Planning;

use VividPull\Core\Cable\HandKind;
use VividPull\Core\Cable\Knowledge;
use VividPull\Core\Cable\Run;
use VividPull\Core\Judging\Judgement;
use VividPull\Core\Learning\Beliefs;
use VividPull\Core\Quantity\Figure;
use VividPull\Core\Spec\Spec;
use VividPull\Core\Spec\SpecBand;

/** After turning to and fro: what is suspected, and what one measurement would settle it. */
final readonly class Suspicion
{
    public static function of(Spec $spec, Run $run, Beliefs $beliefs, Judgement $judgement): string
    {
        $sides = $beliefs->play->sides();
        $ratio = RatioFinding::of($spec, $run, $beliefs);
        $u = $judgement->nowGroup?->found->expanded() ?? 0.0;
        $band = $spec->play()->band;
        $apart = $judgement->sweep->takesMostOf($band);

        return 'Turned to and fro, and not settled. '.match (true) {
            $apart !== null => self::ofTheRoute($apart, $band),
            $sides->areKnown() => 'It reads '.Figure::length(abs($sides->apart))
                .' otherwise when come from the other side: a dry wire that sticks, or lost motion in a thread. Oil the wire, hold the adjuster while it is locked, and read it twice with no turn between.',
            $ratio !== null => $ratio->sentence,
            $u > $band->width() / 3 => 'The readings are known to ± '.Figure::length($u).', and the band is '
                .Figure::length($band->width())
                .' wide: read it with a finer instrument before anything is turned again.',
            $beliefs->surprises !== [] => 'Something slips: mark the lock nut and the ferrule with a pen, pull it fully three times, and see which mark has moved.',
            ($run->couplings->at($spec->play()->point)->knowledge
                ?? Knowledge::Default) !== Knowledge::Measured => self::measure($run->hand->kind),
            default => 'Look for play that changes by itself: a loose lock nut, a ferrule half out of its seat, a conduit that moves.',
        };
    }

    /**
     * Poses that lie so far apart that hardly any setting is right in all of them.
     *
     * @param  float  $apart  mm of play
     */
    public static function ofTheRoute(float $apart, SpecBand $band): string
    {
        return 'Play changes by '.Figure::length($apart).' as the bars turn, and the band is '
            .Figure::length($band->width())
            .' wide: hardly any setting is inside in every pose. Look for a trapped or wrongly routed cable before anything is turned again.';
    }

    /** What of the hand control tells how far play moves by one turn. */
    private static function measure(HandKind $hand): string
    {
        return $hand === HandKind::Grip
            ? 'Measure the two radii of the grip, of its drum and of its flange: they tell what one turn does.'
            : "Measure the two distances of the {$hand->value}, pivot to wire and pivot to reading point: they tell what one turn does.";
    }
}
